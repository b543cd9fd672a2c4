package mussel.desktop.desk;

import java.util.LinkedHashMap;
import java.util.Map;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Plausible;
import mussel.core.measure.Display;
import mussel.core.measure.YardUnits;
import mussel.desktop.kit.QuantityField;
import mussel.work.desk.Desk;

/** The quantity fields of a station, bound to the job's readings. */
public final class JobFields {
    private final Desk desk;
    private final Map<Address, QuantityField> fields = new LinkedHashMap<>();

    /** Fields for a desk. */
    public JobFields(Desk desk) {
        this.desk = desk;
    }

    /** The field of a quantity there is only one of. */
    public QuantityField field(Field field) {
        return field(field, field.address(), field.label());
    }

    /** The field of a quantity at an address, under another label. */
    public QuantityField field(Field field, Address at, String label) {
        String id = "field-" + at.name() + (at.of().isEmpty() ? "" : "-" + at.of());
        QuantityField made = new QuantityField(id, label, field.kind(), field.range());
        made.onDraft(value -> {
                    desk.typing(made::settle);
                    desk.draft(at, value);
                })
                .onEnter((typed, value) -> desk.read(at, value, typed, made.further()))
                .onDoubt(
                        value -> Plausible.doubt(desk.assessed(), at, value),
                        (typed, value, doubt, confirmed) ->
                                desk.readDoubted(at, value, typed, doubt, confirmed, made.further()))
                .onClear(() -> desk.note(new Fact.Cleared(at)));
        fields.put(at, made);
        return made;
    }

    /** Shows the job's readings in all of them; what is being typed is no reading yet. */
    public void show(Assessment now) {
        YardUnits units = now.yard().reads();
        fields.forEach((at, field) -> {
            field.show(desk.job().reading(at), units);
            field.suppose(supposed(now, at, units));
        });
    }

    /** What the leg's own dates make of it, where it was not read. */
    private static String supposed(Assessment now, Address at, YardUnits units) {
        return Field.at(at)
                .filter(f -> f.address().equals(at) && now.knownBefore(f).isPresent())
                .map(f -> Display.exact(f.kind(), now.knownBefore(f).getAsDouble(), units))
                .orElse("");
    }
}
