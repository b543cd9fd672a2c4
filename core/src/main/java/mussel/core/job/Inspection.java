package mussel.core.job;

import java.util.Optional;
import mussel.core.language.Messages;

/**
 * What was judged of a part: reuse, replace, or judge after cleaning. Rust is judged after cleaning, never before: what stands before it is
 * a wait, unless the part is plainly gone.
 *
 * @param verdict what it comes to
 * @param why the reason written down; empty where none was
 */
public record Inspection(Verdict verdict, String why) {
    private static final Messages TEXT = Messages.of(Inspection.class);

    /** What it comes to. */
    public enum Verdict {
        /** Nobody looked. */
        NOT_JUDGED,
        /** To be cleaned, then judged. */
        CLEAN_FIRST,
        /** Goes back. */
        REUSE,
        /** A new one goes in. */
        REPLACE;

        /** In words. */
        public String title() {
            return TEXT.of(this);
        }
    }

    /** The judgement of a part in a job. */
    public static Inspection of(Job job, String part) {
        Optional<String> after = job.choice(Scale.AFTER_CLEANING.of(part));
        Optional<String> before = job.choice(Scale.BEFORE_CLEANING.of(part));
        Verdict verdict = after.or(() -> before)
                .map(o -> switch (o) {
                    case "replace" -> Verdict.REPLACE;
                    case "reuse" -> Verdict.REUSE;
                    default -> Verdict.CLEAN_FIRST;
                })
                .orElse(Verdict.NOT_JUDGED);
        return new Inspection(verdict, job.note(Topic.INSPECTION.of(part)).orElse(""));
    }
}
