package mussel.exchange.report;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import mussel.core.job.Assessment;
import mussel.core.job.ProofWork;
import mussel.core.job.ProofWork.Proof;
import mussel.core.job.SetupPlace;
import mussel.core.job.SetupWork;
import mussel.core.language.Messages;

/** The part of the job sheet on how it went back together: shims and lash, and the proof. */
final class PutBack {
    private static final Messages TEXT = Messages.of(PutBack.class);

    private static final float BODY = 9.5f;

    private PutBack() {}

    static void print(Page page, Assessment all) throws IOException {
        if (all.setup().filter(SetupWork::begun).isPresent()) {
            setup(page, all.setup().get());
        }
        if (all.proof().begun()) {
            proof(page, all);
        }
    }

    private static void setup(Page page, SetupWork setup) throws IOException {
        page.heading(TEXT.get("put_back.shims_and_lash"), 12);
        for (SetupPlace place : setup.places()) {
            String in = place.taken().isEmpty() ? TEXT.get("put_back.no_stack_in_yet") : pieces(place);
            String lash = place.after()
                    .map(a -> String.format(
                            Locale.ROOT,
                            "; lash %.3f mm at the pitch circle, window %.2f to %.2f mm",
                            a.out().lashMm(),
                            a.in().windowMm().get(0),
                            a.in().windowMm().get(1)))
                    .orElse("");
            page.pair(
                    place.title(),
                    in + lash + (place.simulated() ? TEXT.get("put_back.simulated_readings") : ""),
                    BODY);
        }
        for (SetupWork.Check check : setup.checks()) {
            page.text(check.says(), BODY);
        }
        page.skip(6);
    }

    private static String pieces(SetupPlace place) {
        return place.taken().entrySet().stream()
                        .sorted(Map.Entry.<Integer, Integer>comparingByKey().reversed())
                        .map(e -> e.getValue() + " × " + String.format(Locale.ROOT, "%.2f", e.getKey() / 1_000.0))
                        .collect(Collectors.joining(" + "))
                + String.format(Locale.ROOT, " = %.3f mm", place.takenMm());
    }

    private static void proof(Page page, Assessment all) throws IOException {
        ProofWork proof = all.proof();
        page.heading(TEXT.get("put_back.proof"), 12);
        List<Proof> made = proof.proofs().stream()
                .filter(p -> p.state() != ProofWork.State.OPEN)
                .toList();
        for (Proof each : made) {
            page.text((each.state() == ProofWork.State.FAILED ? "Failed. " : "") + each.says(), BODY);
        }
        int open = proof.proofs().size() - made.size();
        if (open > 0) {
            page.text(
                    TEXT.get(
                            "put_back.of_proofs_were_not_made",
                            open,
                            proof.proofs().size()),
                    BODY);
        }
        if (!all.leftUndone().isEmpty() && proof.override().isPresent()) {
            for (String undone : all.leftUndone()) {
                page.text(undone, BODY);
            }
            page.heading(
                    TEXT.get(
                            "put_back.tagged_all_the_same_because",
                            proof.override().get()),
                    BODY);
        }
        page.skip(6);
    }
}
