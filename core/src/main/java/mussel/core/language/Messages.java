package mussel.core.language;

import com.ibm.icu.text.MessagePattern;
import java.util.Collections;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/**
 * The messages of one room in the current {@link Language}, by key. Patterns are ICU message patterns with numbered arguments:
 * {@code {0}}, {@code {0, plural, one {# leg} other {# legs}}}, {@code {0, select, yes {…} other {…}}}, and
 * {@code {0, number, 0}} for a number that is a name, such as a job's, and takes no thousands mark. Quantities come already written
 * with their units.
 */
public final class Messages {
    private final String room;
    private final Map<Language, Map<String, MessagePattern>> parsed = Collections.synchronizedMap(new HashMap<>());

    private Messages(String room) {
        this.room = room;
    }

    /** The messages of the room in which a class is. */
    public static Messages of(Class<?> inRoom) {
        return new Messages(inRoom.getPackageName());
    }

    /**
     * A message with its arguments filled in.
     *
     * @throws java.util.MissingResourceException when the key is not even there in English
     */
    public String get(String key, Object... arguments) {
        Language language = Language.current();
        MessagePattern pattern = parsed.computeIfAbsent(language, l -> Collections.synchronizedMap(new HashMap<>()))
                .computeIfAbsent(key, k -> new MessagePattern(language.pattern(room, k)));
        return new MessageText(pattern, language, arguments).toString();
    }

    /** What a constant is called: the message {@code <enum>.<constant>}, as {@code position.port}. */
    public String of(Enum<?> constant) {
        return get(key(constant.getDeclaringClass()) + "." + constant.name().toLowerCase(Locale.ROOT));
    }

    /** The part of a key that names a type, as {@code step_ask} for {@code StepAsk}. */
    public static String key(Class<?> type) {
        return type.getSimpleName().replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT);
    }

    /** Whether there is a message of that key. */
    public boolean has(String key) {
        return Language.current().has(room, key);
    }
}
