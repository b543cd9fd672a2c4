package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.sheet.Goal;

/**
 * Whether a leg came back for what was mended here. Proposed where an earlier job repaired something within the year; whether it is one, and on the yard, is the
 * yard's word.
 */
public final class Comeback {
    private static final Messages TEXT = Messages.of(Comeback.class);
    /** How long a repair is looked back for: as long as a change of gear oil lasts. */
    private static final int MONTHS = 12;

    private final Assessment all;

    /** The comeback of a job. */
    public Comeback(Assessment all) {
        this.all = all;
    }

    private List<LegBefore.Done> lately() {
        return all.before().done().stream()
                .filter(d -> !d.day().plusMonths(MONTHS).isBefore(all.today()))
                .toList();
    }

    /** The last repair within its life, where there is one: asked about, never decided. */
    public Optional<String> proposed() {
        return lately().stream()
                .findFirst()
                .map(d -> TEXT.get(
                        "comeback.proposed",
                        String.valueOf(d.job()),
                        d.day().toString(),
                        goals(d),
                        TEXT.get(d.held() ? "comeback.held" : "comeback.unheld")));
    }

    /** Whether the yard has marked it as one. */
    public boolean marked() {
        return all.job().choice(Scale.COMEBACK).equals(Optional.of("yes"));
    }

    /** What is printed of a marked one: which job, what it repaired, and whether a hold proved it. */
    public List<String> says() {
        List<String> says = new ArrayList<>();
        if (marked()) {
            lately().stream()
                    .findFirst()
                    .ifPresent(d -> says.add(TEXT.get(
                            "comeback.marked",
                            String.valueOf(d.job()),
                            d.day().toString(),
                            goals(d) + "; " + TEXT.get(d.held() ? "comeback.held" : "comeback.unheld"))));
        }
        return says;
    }

    /** What the yard writes to the owner of a marked one: what was mended, how it was proven, and what is done about it now; nothing where it is none. */
    public List<String> letter() {
        List<String> letter = new ArrayList<>();
        if (!marked()) {
            return letter;
        }
        lately().stream().findFirst().ifPresent(d -> {
            letter.add(TEXT.get("letter.was", d.day().toString(), goals(d), String.valueOf(d.job())));
            letter.add(TEXT.get(d.held() ? "letter.held" : "letter.unheld"));
            all.job().note(Topic.COMPLAINT.address()).ifPresent(c -> letter.add(TEXT.get("letter.complaint", c)));
            letter.add(
                    all.goals().isEmpty()
                            ? TEXT.get("letter.looking")
                            : TEXT.get(
                                    "letter.doing",
                                    all.goals().stream()
                                            .map(g -> all.sheet()
                                                    .goal(g)
                                                    .map(Goal::title)
                                                    .orElse(g))
                                            .collect(Collectors.joining(", "))));
            boolean again = d.goals().stream().anyMatch(all.goals()::contains);
            letter.add(TEXT.get(again ? "letter.again" : "letter.other"));
            letter.add(TEXT.get("letter.proof"));
        });
        return letter;
    }

    private String goals(LegBefore.Done done) {
        return done.goals().stream()
                .map(g -> all.sheet().goal(g).map(Goal::title).orElse(g.replace('_', ' ')))
                .collect(Collectors.joining(", "));
    }
}
