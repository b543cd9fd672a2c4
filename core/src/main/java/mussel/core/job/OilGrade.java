package mussel.core.job;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.sheet.Step;

/**
 * The oil that goes in held against what the sheet asks for: service class (GL-4, GL-5: API 1560) and viscosity (75W-90, 90: SAE J306) are two
 * questions, and some shift systems want neither but a fluid of their own.
 *
 * @param match how it stands
 * @param says the same in a sentence
 */
public record OilGrade(Match match, String says) {
    private static final Messages TEXT = Messages.of(OilGrade.class);

    /** How an oil stands to a sheet. */
    public enum Match {
        /** As the sheet asks. */
        RIGHT,
        /** Not as the sheet asks. */
        WRONG,
        /** Nobody has said which oil, or written down its grade. */
        UNKNOWN
    }

    static OilGrade of(String asked, Optional<Yard.Oil> chosen) {
        if (!Step.says(asked)) {
            return new OilGrade(Match.UNKNOWN, TEXT.get("grade.unasked"));
        }
        if (chosen.isEmpty()) {
            return new OilGrade(Match.UNKNOWN, TEXT.get("grade.unchosen", asked));
        }
        Yard.Oil oil = chosen.get();
        Optional<String> has = oil.grade();
        if (has.isEmpty()) {
            return new OilGrade(Match.UNKNOWN, TEXT.get("grade.unknown", asked, oil.title()));
        }
        Set<String> wanted = words(asked);
        Set<String> given = words(has.get());
        boolean sameClass = classes(wanted).equals(classes(given));
        boolean sameThickness = thickness(wanted).equals(thickness(given));
        boolean sameKind = kind(given).containsAll(kind(wanted));
        if (sameClass && sameThickness && sameKind) {
            return new OilGrade(Match.RIGHT, TEXT.get("grade.right", asked, oil.title()));
        }
        String what = TEXT.get(
                sameClass && sameThickness
                        ? "grade.kind"
                        : sameClass ? "grade.thickness" : sameThickness ? "grade.class" : "grade.both");
        return new OilGrade(Match.WRONG, TEXT.get("grade.wrong", asked, oil.title(), has.get(), what));
    }

    private static Set<String> words(String grade) {
        return Arrays.stream(grade.toUpperCase(Locale.ROOT).split("[\\s,/]+"))
                .filter(w -> !w.isEmpty() && !w.equals("SAE") && !w.equals("API"))
                .collect(Collectors.toSet());
    }

    private static Set<String> classes(Set<String> words) {
        return words.stream().filter(w -> w.startsWith("GL")).collect(Collectors.toSet());
    }

    private static Set<String> thickness(Set<String> words) {
        return words.stream().filter(w -> w.matches("\\d.*")).collect(Collectors.toSet());
    }

    /** What is neither class nor viscosity, like synthetic. */
    private static Set<String> kind(Set<String> words) {
        return words.stream().filter(w -> w.matches("(?!GL)\\D.*")).collect(Collectors.toSet());
    }
}
