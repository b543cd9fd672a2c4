package mussel.core.measure;

import java.text.ChoiceFormat;
import java.text.FieldPosition;
import java.text.Format;
import java.text.MessageFormat;
import java.text.ParsePosition;
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
        return filled(bundle.getString(key), parts);
    }

    private static String filled(String pattern, Object... parts) {
        MessageFormat sentence = new MessageFormat(pattern, Locale.ROOT);
        Format[] formats = sentence.getFormats();
        for (int i = 0; i < formats.length; i++) {
            if (formats[i] == null) {
                sentence.setFormat(i, AsShown.ONLY);
            } else if (formats[i] instanceof ChoiceFormat choice) {
                sentence.setFormat(i, new Chosen(choice, parts));
            }
        }
        return sentence.format(parts);
    }

    /** What is said of one and of several; gaps within it are filled as those around it. */
    private static final class Chosen extends Format {
        private static final long serialVersionUID = 1L;

        private final ChoiceFormat choice;
        private final transient Object[] parts;

        Chosen(ChoiceFormat choice, Object... parts) {
            this.choice = choice;
            this.parts = parts;
        }

        @Override
        public StringBuffer format(Object count, StringBuffer to, FieldPosition at) {
            String said = choice.format(count);
            return to.append(said.indexOf('{') < 0 ? said : filled(said, parts));
        }

        @Override
        public Object parseObject(String source, ParsePosition at) {
            throw new UnsupportedOperationException("Sentences are not read back");
        }
    }

    /** Counts are written as figures are everywhere else: with one thousands mark, not the library's other one. */
    private static final class AsShown extends Format {
        private static final long serialVersionUID = 1L;
        private static final AsShown ONLY = new AsShown();

        @Override
        public StringBuffer format(Object part, StringBuffer to, FieldPosition at) {
            return to.append(part instanceof Number number ? Display.figure(number) : part);
        }

        @Override
        public Object parseObject(String source, ParsePosition at) {
            throw new UnsupportedOperationException("Sentences are not read back");
        }
    }
}
