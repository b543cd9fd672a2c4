package mussel.core.practice;

import java.util.EnumSet;
import java.util.Set;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.measure.Kind;

/** What a hand may enter at a practice leg: what somebody decides and supposes, and a hold on the tester; nothing that is seen, and nothing that was known. */
final class ByHand {
    private static final Set<Scale> DECIDED = EnumSet.of(
            Scale.GOAL,
            Scale.PROOF,
            Scale.HANDED_OVER,
            Scale.OWNER_SAYS,
            Scale.CORE_BACK,
            Scale.CONSENT,
            Scale.CONSENT_HOW,
            Scale.TOOL_READY,
            Scale.OIL_NEW,
            Scale.THREADS);

    private ByHand() {}

    static boolean allows(Fact fact) {
        if (fact instanceof Fact.Read read) {
            return Field.at(read.about()).map(ByHand::supposed).orElse(false);
        }
        if (fact instanceof Fact.Chosen chosen) {
            return decided(chosen.about());
        }
        if (fact instanceof Fact.Cleared cleared) {
            return decided(cleared.about())
                    || Field.at(cleared.about()).map(ByHand::supposed).orElse(false);
        }
        if (fact instanceof Fact.HoldBegun begun) {
            return begun.simulated();
        }
        return !(fact instanceof Fact.Tagged || fact instanceof Fact.WorkedBy || fact instanceof Fact.LegCorrected);
    }

    private static boolean supposed(Field field) {
        return field == Field.SUSPECTED
                || field.kind() == Kind.MONEY && field != Field.LOST
                || field.kind() == Kind.DAYS;
    }

    private static boolean decided(Address about) {
        return DECIDED.stream().anyMatch(s -> s.address().name().equals(about.name()));
    }
}
