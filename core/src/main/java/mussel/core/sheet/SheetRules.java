package mussel.core.sheet;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import mussel.core.language.Messages;
import mussel.core.measure.Problems;

/** What must hold across the fields of a sheet: ids are unique, everything named exists, the steps have no cycle. */
final class SheetRules {
    private static final Messages TEXT = Messages.of(SheetRules.class);

    private final SpecSheet sheet;
    private final Problems problems;
    private final String pointer;

    SheetRules(SpecSheet sheet, Problems problems, String pointer) {
        this.sheet = sheet;
        this.problems = problems;
        this.pointer = pointer;
    }

    void check() {
        problems.unless(
                sheet.id().matches("[a-z0-9][a-z0-9-]*"),
                pointer + "/id",
                TEXT.get("sheet_rules.takes_lower_case_letters_figures_and"));
        Set<String> parts = unique("/parts", sheet.parts(), Part::id);
        Set<String> fasteners = unique("/fasteners", sheet.fasteners(), Fastener::id);
        Set<String> goals = unique("/goals", sheet.goals(), Goal::id);
        unique("/plugs", sheet.plugs(), Plug::id);
        unique("/seals", sheet.seals(), Seal::id);
        unique("/kits", sheet.kits(), Kit::id);
        unique("/drawing", sheet.drawing(), Region::id);
        Set<String> steps = unique("/steps", sheet.steps(), Step::id);
        plugs(fasteners);
        torques();
        for (int i = 0; i < sheet.seals().size(); i++) {
            known(parts, sheet.seals().get(i).part(), "/seals/" + i + "/part", "part");
        }
        for (int i = 0; i < sheet.kits().size(); i++) {
            partsExist(sheet.kits().get(i).contains(), "/kits/" + i + "/contains", parts);
        }
        for (int i = 0; i < sheet.goals().size(); i++) {
            partsExist(sheet.goals().get(i).fits(), "/goals/" + i + "/fits", parts);
        }
        for (int i = 0; i < sheet.drawing().size(); i++) {
            String part = sheet.drawing().get(i).part();
            if (Step.says(part)) {
                known(parts, part, "/drawing/" + i + "/part", "part");
            }
        }
        long cavities = sheet.drawing().stream()
                .filter(r -> r.kind() == Region.Material.CAVITY)
                .count();
        problems.unless(
                cavities == 1,
                pointer + "/drawing",
                TEXT.get("sheet_rules.needs_exactly_one_cavity_for_the", cavities));
        for (int i = 0; i < sheet.steps().size(); i++) {
            step(i, steps, goals, parts, fasteners);
        }
        StepGraphRules.check(sheet, problems, pointer);
    }

    /** A torque far off what its thread can bear stands in the wrong unit more often than not. */
    private void torques() {
        for (int i = 0; i < sheet.fasteners().size(); i++) {
            Fastener fastener = sheet.fasteners().get(i);
            String at = pointer + "/fasteners/" + i + "/torque";
            if (fastener.torque().isEmpty()) {
                continue;
            }
            double high = fastener.torque().get().range().highNm();
            fastener.proofTorqueNm().ifPresent(proof -> {
                problems.unless(
                        high <= proof,
                        at,
                        TEXT.get(
                                "sheet_rules.goes_up_to_n_m_more",
                                Math.round(high),
                                fastener.thread(),
                                Math.round(proof)));
            });
        }
    }

    private void plugs(Set<String> fasteners) {
        for (int i = 0; i < sheet.plugs().size(); i++) {
            known(fasteners, sheet.plugs().get(i).fastener(), "/plugs/" + i + "/fastener", "fastener");
        }
        for (Plug.Role role : List.of(Plug.Role.DRAIN, Plug.Role.VENT)) {
            problems.unless(
                    sheet.plugs().stream().anyMatch(p -> p.role() == role),
                    pointer + "/plugs",
                    TEXT.get("sheet_rules.names_no_plug", role.name().toLowerCase(java.util.Locale.ROOT)));
        }
    }

    private void step(int i, Set<String> steps, Set<String> goals, Set<String> parts, Set<String> fasteners) {
        Step step = sheet.steps().get(i);
        String at = "/steps/" + i;
        each(step.needs(), at + "/needs", steps, "step");
        each(step.after(), at + "/after", steps, "step");
        each(step.goals(), at + "/goals", goals, "goal");
        each(step.fasteners(), at + "/fasteners", fasteners, "fastener");
        if (Step.says(step.mirrors())) {
            known(steps, step.mirrors(), at + "/mirrors", "step");
        }
        partsExist(step.partsOut(), at + "/parts_out", parts);
        partsExist(step.partsIn(), at + "/parts_in", parts);
    }

    private void partsExist(List<PartQty> list, String at, Set<String> parts) {
        for (int i = 0; i < list.size(); i++) {
            known(parts, list.get(i).part(), at + "/" + i + "/part", "part");
        }
    }

    private void each(List<String> names, String at, Set<String> known, String what) {
        for (int i = 0; i < names.size(); i++) {
            known(known, names.get(i), at + "/" + i, what);
        }
    }

    private void known(Set<String> known, String name, String at, String what) {
        problems.unless(
                known.contains(name), pointer + at, TEXT.get("sheet_rules.names_the_which_the_sheet_does", what, name));
    }

    private <T> Set<String> unique(String at, List<T> list, Function<T, String> id) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < list.size(); i++) {
            String name = id.apply(list.get(i));
            problems.unless(seen.add(name), pointer + at + "/" + i + "/id", TEXT.get("sheet_rules.stands_twice", name));
        }
        return seen;
    }
}
