package mussel.core.brief;

import java.util.List;
import java.util.Optional;
import mussel.core.brief.Brief.Act;
import mussel.core.brief.Brief.Deed;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Station;
import mussel.core.language.Messages;

/** What is said beside a station while a practice leg is gone about: coached, the conclusion and what to look at; on one's own, neither. */
final class PracticeBrief {
    private static final Messages TEXT = Briefing.TEXT;

    private final Assessment now;
    private final Station station;
    private final Folds folds;

    PracticeBrief(Assessment now, Station station, Folds folds) {
        this.now = now;
        this.station = station;
        this.folds = folds;
    }

    Brief brief() {
        if (now.job().tagged().isPresent()) {
            return new Brief(List.of(), TEXT.get("practice.back"), "", false, false, leads(Station.TAG), List.of());
        }
        return now.hushed() ? own() : coached();
    }

    private List<String> cautions() {
        return switch (station) {
            case DRAIN -> List.of(TEXT.get("mind.drain"));
            case LEAK -> List.of(TEXT.get("mind.leak"));
            default -> List.of();
        };
    }

    private Brief own() {
        boolean said = now.knowledge().goals().stream()
                .anyMatch(g -> now.job().reading(Field.SUSPECTED.of(g.id())).isPresent());
        Optional<Act> act = now.findings().isEmpty()
                ? Optional.empty()
                : said ? towardsTheEnd() : station == Station.VERDICT ? Optional.empty() : leads(Station.VERDICT);
        return new Brief(
                cautions(),
                TEXT.get("practice.own"),
                TEXT.get(said ? "practice.own.said" : "practice.own.say"),
                false,
                false,
                act,
                List.of());
    }

    private Brief coached() {
        boolean judged = now.judged();
        return new Brief(
                cautions(),
                judged ? now.verdictWords().head() : TEXT.get("practice.coached"),
                judged
                        ? now.verdictWords()
                                .contradiction()
                                .or(() -> now.verdictWords().lipSide())
                                .orElse("")
                        : TEXT.get("practice.look"),
                true,
                false,
                now.findings().isEmpty() ? Optional.empty() : towardsTheEnd(),
                folds.evidence().looks().goals().list());
    }

    /** What is called for is chosen, and it is handed back: when, is for whoever practises to say. */
    private Optional<Act> towardsTheEnd() {
        if (station == Station.TAG) {
            return Optional.of(new Act(
                    TEXT.get("practice.act.back"), TEXT.get("practice.act.back.note"), new Deed.Press(Handle.TAG)));
        }
        return leads(now.goals().isEmpty() && station != Station.STRIP ? Station.STRIP : Station.TAG);
    }

    private Optional<Act> leads(Station to) {
        Act act = to == Station.TAG ? new Act(TEXT.get("practice.act.to_tag"), "", new Deed.Go(to)) : Briefing.go(to);
        return station == to ? Optional.empty() : Optional.of(act);
    }
}
