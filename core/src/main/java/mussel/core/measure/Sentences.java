package mussel.core.measure;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** The sentences of one room, from its bundle {@code sentences.properties}, so that they can be put into another language. */
public final class Sentences {
    private final ResourceBundle bundle;

    private Sentences(ResourceBundle bundle) {
        this.bundle = bundle;
    }

    /** The sentences beside the given class. */
    public static Sentences beside(Class<?> room) {
        String name = room.getPackageName() + ".sentences";
        return new Sentences(ResourceBundle.getBundle(name, Locale.ROOT, room.getClassLoader()));
    }

    /** The sentence with its gaps filled; figures come already written with their units. */
    public String say(String key, Object... parts) {
        return new MessageFormat(bundle.getString(key), Locale.ROOT).format(parts);
    }
}
