package mussel.core.language;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.function.Supplier;

/**
 * A language, by its tag: where its messages are, and which language stands in where it has none. English stands in for all. One language is the program's;
 * a paper for an owner who reads another is made {@link #during} that one.
 */
public final class Language {
    /** The language in which Mussel is written; its messages lie beside their rooms. */
    public static final Language ENGLISH = new Language(Locale.ENGLISH, Optional.empty(), Language::english);

    /** Like the JDK's default locale, one for the program: passing it through every engine would put a reader's matter into each signature. */
    private static volatile Language program = ENGLISH;

    private static final ThreadLocal<Language> HERE = new ThreadLocal<>();

    private final Locale locale;
    private final Optional<Language> parent;
    private final Source source;
    private final Map<String, Map<String, String>> rooms = new HashMap<>();

    /** Where the messages of a language come from. */
    @FunctionalInterface
    public interface Source {
        /** The messages of a room by key; none where the language has none of it. */
        Map<String, String> room(String room);
    }

    private Language(Locale locale, Optional<Language> parent, Source source) {
        this.locale = locale;
        this.parent = parent;
        this.source = source;
    }

    /**
     * A language whose messages come from a source.
     *
     * @param locale its tag, as {@code es} or {@code es-419}
     * @param parent the language that stands in where it has no message
     */
    public static Language of(Locale locale, Language parent, Source source) {
        return new Language(locale, Optional.of(parent), source);
    }

    /** The language in use: that of the work at hand, else the program's. */
    public static Language current() {
        Language here = HERE.get();
        return here == null ? program : here;
    }

    /** From now on the program's. */
    public static void use(Language language) {
        program = language;
    }

    /** What a work comes to in this language, whatever the program's is; what the work starts on other threads is in the program's. */
    public <T> T during(Supplier<T> work) {
        Language before = HERE.get();
        HERE.set(this);
        try {
            return work.get();
        } finally {
            if (before == null) {
                HERE.remove();
            } else {
                HERE.set(before);
            }
        }
    }

    /** Its locale, which decides plurals and the names of days and months. */
    public Locale locale() {
        return locale;
    }

    /** Its tag. */
    public String tag() {
        return locale.toLanguageTag();
    }

    /**
     * The pattern of a message.
     *
     * @throws java.util.MissingResourceException when the key is not even there in English
     */
    String pattern(String room, String key) {
        return own(room, key)
                .or(() -> parent.map(p -> p.pattern(room, key)))
                .orElseThrow(
                        () -> new java.util.MissingResourceException("No message " + key + " in " + room, room, key));
    }

    boolean has(String room, String key) {
        return own(room, key).isPresent()
                || parent.filter(p -> p.has(room, key)).isPresent();
    }

    private synchronized Optional<String> own(String room, String key) {
        return Optional.ofNullable(rooms.computeIfAbsent(room, source::room).get(key));
    }

    private static Map<String, String> english(String room) {
        return bundle(room + ".messages", Language.class.getClassLoader());
    }

    /** The messages of a bundle on the class path. */
    static Map<String, String> bundle(String name, ClassLoader loader) {
        ResourceBundle bundle = ResourceBundle.getBundle(
                name,
                Locale.ROOT,
                loader,
                ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
        Map<String, String> messages = new HashMap<>();
        bundle.keySet().forEach(key -> messages.put(key, bundle.getString(key)));
        return messages;
    }
}
