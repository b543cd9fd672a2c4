package mussel.core.pump;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.pump.PumpInput.Crack;
import mussel.core.pump.PumpInput.Extent;
import mussel.core.pump.PumpInput.HousingState;
import mussel.core.pump.PumpInput.HubBond;
import mussel.core.pump.PumpInput.KeyState;
import mussel.core.pump.PumpInput.Vane;
import mussel.core.pump.PumpResult.Judged;
import mussel.core.pump.PumpResult.PartVerdict;
import mussel.core.pump.PumpResult.Rule;
import mussel.core.sheet.PumpLimits;
import mussel.core.sheet.PumpPolicy;

/** The rules by which a pump's parts are kept or renewed: each that fires is told with what it saw and its limit. */
final class PartRules {
    private static final Messages TEXT = Messages.of(PartRules.class);
    /** The most the end faces may have lost: what a bench goes by, since sheets do not say. */
    private static final double FACE_WEAR_MM = 0.2;

    private final PumpInput in;
    private final PumpLimits limits;

    PartRules(PumpInput in) {
        this.in = in;
        this.limits = in.judgedBy();
    }

    /** Impeller, key, plate and housing, each judged. */
    List<Judged> judged() {
        List<Rule> impeller = impeller();
        boolean renewed = verdict(impeller) == PartVerdict.REPLACE;
        return List.of(
                new Judged(NamedBy.file(PumpPart.IMPELLER), verdict(impeller), impeller),
                judge(PumpPart.KEY, key(renewed)),
                judge(PumpPart.PLATE, plate(renewed)),
                judge(PumpPart.HOUSING, housing(renewed)));
    }

    private static Judged judge(PumpPart part, List<Rule> rules) {
        return new Judged(NamedBy.file(part), verdict(rules), rules);
    }

    /** The severest thing any rule asks for; nothing fired means it goes back. */
    private static PartVerdict verdict(List<Rule> rules) {
        return rules.stream().map(Rule::asks).max(Comparator.naturalOrder()).orElse(PartVerdict.REUSE);
    }

    private List<Rule> impeller() {
        List<Rule> rules = new ArrayList<>();
        if (in.vanes().isEmpty()) {
            rules.add(plain("not_looked", PartVerdict.JUDGE_AFTER_CLEANING));
        }
        int unmarked = in.geometry().map(g -> g.vanes() - in.vanes().size()).orElse(0);
        if (!in.vanes().isEmpty() && unmarked > 0) {
            rules.add(figured(
                    "vanes_unmarked", PartVerdict.JUDGE_AFTER_CLEANING, unmarked, 0, unmarked == 1 ? "vane" : "vanes"));
        }
        worst(Vane::missingMm).ifPresent(v -> over(rules, "missing_piece", v, 0, "mm"));
        worst(Vane::tipWearMm).ifPresent(v -> over(rules, "tip_wear", v, limits.tipWearMm(), "mm"));
        if (!in.vanes().isEmpty()) {
            double set = PumpEngine.worstSetDeg(in);
            if (set >= limits.setDeg()) {
                rules.add(figured("set", PartVerdict.REPLACE, set, limits.setDeg(), "°"));
            }
        }
        in.faceWearMm().ifPresent(w -> over(rules, "face_wear", w, FACE_WEAR_MM, "mm"));
        if (in.hardened()) {
            rules.add(plain("hardened", PartVerdict.REPLACE));
        }
        count("burnt", in.vanes().stream().filter(Vane::burnt).count(), PartVerdict.REPLACE, rules);
        count("crack_through", cracks(Crack.THROUGH), PartVerdict.REPLACE, rules);
        long surface = cracks(Crack.SURFACE);
        count(
                surface > 1 ? "crack_several" : "crack_surface",
                surface,
                surface > 1 ? PartVerdict.REPLACE : PartVerdict.JUDGE_AFTER_CLEANING,
                rules);
        in.hubBond()
                .filter(b -> b != HubBond.SOUND)
                .ifPresent(b -> rules.add(plain("hub_" + b.name().toLowerCase(Locale.ROOT), PartVerdict.REPLACE)));
        policy(rules);
        return rules;
    }

    private void policy(List<Rule> rules) {
        if (in.policy() == PumpPolicy.ALWAYS) {
            rules.add(plain("policy_always", PartVerdict.REPLACE));
        } else if (in.policy() == PumpPolicy.CALENDAR && in.ageMonths().isPresent()) {
            double age = in.ageMonths().getAsDouble();
            if (age >= in.calendarMonths()) {
                rules.add(figured("policy_calendar", PartVerdict.REPLACE, age, in.calendarMonths(), "months"));
            }
        } else if (in.policy() == PumpPolicy.CALENDAR) {
            rules.add(plain("age_unknown", PartVerdict.REPLACE));
        }
    }

    private List<Rule> key(boolean impellerRenewed) {
        List<Rule> rules = new ArrayList<>();
        in.key()
                .filter(k -> k != KeyState.SOUND)
                .ifPresent(k -> rules.add(plain("key_" + k.name().toLowerCase(Locale.ROOT), PartVerdict.REPLACE)));
        if (impellerRenewed) {
            rules.add(plain("key_with_impeller", PartVerdict.REPLACE));
        }
        if (rules.isEmpty() && in.key().isEmpty()) {
            rules.add(plain("not_looked", PartVerdict.JUDGE_AFTER_CLEANING));
        }
        return rules;
    }

    private List<Rule> plate(boolean impellerRenewed) {
        List<Rule> rules = new ArrayList<>();
        groove(rules, "plate_groove", in.plateGrooveMm(), limits.plateGrooveMm());
        in.plateWarpMm().ifPresent(w -> over(rules, "plate_warp", w, limits.plateWarpMm(), "mm"));
        extent(rules, impellerRenewed);
        return rules;
    }

    private List<Rule> housing(boolean impellerRenewed) {
        List<Rule> rules = new ArrayList<>();
        in.housingState().ifPresent(state -> {
            if (state == HousingState.MELTED || state == HousingState.CRACKED) {
                rules.add(plain("housing_" + state.name().toLowerCase(Locale.ROOT), PartVerdict.REPLACE));
            } else if (state == HousingState.SCORED) {
                rules.add(plain("housing_scored", PartVerdict.JUDGE_AFTER_CLEANING));
            }
        });
        groove(rules, "housing_groove", in.housingGrooveMm(), limits.housingGrooveMm());
        extent(rules, impellerRenewed);
        return rules;
    }

    /** Over the limit it goes; over half of it the fingernail decides once it is clean; smooth ones can stay. */
    private void groove(List<Rule> rules, String rule, OptionalDouble groove, double limit) {
        if (groove.isEmpty()) {
            rules.add(plain("not_looked", PartVerdict.JUDGE_AFTER_CLEANING));
        } else if (groove.getAsDouble() > limit) {
            rules.add(figured(rule, PartVerdict.REPLACE, groove.getAsDouble(), limit, "mm"));
        } else if (groove.getAsDouble() > limit / 2) {
            rules.add(figured(rule + "_half", PartVerdict.JUDGE_AFTER_CLEANING, groove.getAsDouble(), limit / 2, "mm"));
        }
    }

    private void extent(List<Rule> rules, boolean impellerRenewed) {
        if (in.extent() == Extent.KIT && impellerRenewed) {
            rules.add(plain("extent_kit", PartVerdict.REPLACE));
        } else if (in.extent() == Extent.BY_CONDITION && in.sand()) {
            rules.add(plain("sand", PartVerdict.JUDGE_AFTER_CLEANING));
        }
    }

    private OptionalDouble worst(ToDoubleFunction<Vane> what) {
        return in.vanes().stream().mapToDouble(what).max();
    }

    private long cracks(Crack crack) {
        return in.vanes().stream().filter(v -> v.crack() == crack).count();
    }

    private static void count(String rule, long vanes, PartVerdict asks, List<Rule> rules) {
        if (vanes > 0) {
            rules.add(figured(rule, asks, vanes, 0, vanes == 1 ? "vane" : "vanes"));
        }
    }

    private static void over(List<Rule> rules, String rule, double value, double limit, String unit) {
        if (value > limit) {
            rules.add(figured(rule, PartVerdict.REPLACE, value, limit, unit));
        }
    }

    private static Rule figured(String rule, PartVerdict asks, double value, double limit, String unit) {
        return new Rule(
                rule,
                asks,
                OptionalDouble.of(value),
                OptionalDouble.of(limit),
                unit,
                TEXT.get("rule." + rule, figure(value, unit), figure(limit, unit)));
    }

    private static Rule plain(String rule, PartVerdict asks) {
        return new Rule(rule, asks, OptionalDouble.empty(), OptionalDouble.empty(), "", TEXT.get("rule." + rule));
    }

    private static String figure(double value, String unit) {
        String figure = String.format(Locale.ROOT, unit.equals("mm") ? "%.2f" : "%.0f", value);
        return unit.equals("°") ? figure + unit : figure + " " + unit;
    }
}
