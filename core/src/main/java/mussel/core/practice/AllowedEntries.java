package mussel.core.practice;

import java.util.EnumSet;
import java.util.Set;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.measure.Kind;

/** What a hand may enter at a practice leg: what somebody decides and supposes, and a hold on the tester; nothing that is seen, and nothing that was known. */
final class AllowedEntries {
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

    private AllowedEntries() {}

    static boolean allows(Fact fact) {
        return fact.in(new Allowed());
    }

    private static boolean supposed(Field field) {
        return field == Field.SUSPECTED
                || field.kind() == Kind.MONEY && field != Field.LOST
                || field.kind() == Kind.DAYS;
    }

    private static boolean decided(Address about) {
        return DECIDED.stream().anyMatch(s -> s.address().name().equals(about.name()));
    }

    private static final class Allowed implements Fact.Cases<Boolean> {
        @Override
        public Boolean read(Fact.Read fact) {
            return Field.at(fact.about()).map(AllowedEntries::supposed).orElse(false);
        }

        @Override
        public Boolean chosen(Fact.Chosen fact) {
            return AllowedEntries.decided(fact.about());
        }

        @Override
        public Boolean cleared(Fact.Cleared fact) {
            return AllowedEntries.decided(fact.about())
                    || Field.at(fact.about()).map(AllowedEntries::supposed).orElse(false);
        }

        @Override
        public Boolean holdBegun(Fact.HoldBegun fact) {
            return fact.simulated();
        }

        @Override
        public Boolean tagged(Fact.Tagged fact) {
            return false;
        }

        @Override
        public Boolean workedBy(Fact.WorkedBy fact) {
            return false;
        }

        @Override
        public Boolean legCorrected(Fact.LegCorrected fact) {
            return false;
        }

        @Override
        public Boolean ticked(Fact.Ticked fact) {
            return true;
        }

        @Override
        public Boolean noted(Fact.Noted fact) {
            return true;
        }

        @Override
        public Boolean held(Fact.Held fact) {
            return true;
        }

        @Override
        public Boolean ordered(Fact.Ordered fact) {
            return true;
        }

        @Override
        public Boolean arrived(Fact.Arrived fact) {
            return true;
        }

        @Override
        public Boolean delivered(Fact.Delivered fact) {
            return true;
        }

        @Override
        public Boolean pictured(Fact.Pictured fact) {
            return true;
        }

        @Override
        public Boolean decided(Fact.Decided fact) {
            return true;
        }

        @Override
        public Boolean countersigned(Fact.Countersigned fact) {
            return true;
        }

        @Override
        public Boolean unread(Fact.Unread fact) {
            return true;
        }

        @Override
        public Boolean retracted(Fact.Retracted fact) {
            return true;
        }

        @Override
        public Boolean opened(Fact.Opened fact) {
            return true;
        }
    }
}
