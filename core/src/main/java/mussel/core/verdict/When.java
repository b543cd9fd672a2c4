package mussel.core.verdict;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** The keys of the context a table may ask for. */
public enum When {
    /** What it runs in. */
    WATER,
    /** Sand or shallows. */
    SAND,
    /** How it is kept. */
    STORAGE,
    /** Running hours since the oil was changed. */
    HOURS_SINCE_CHANGE,
    /** Months since the oil was changed. */
    MONTHS_SINCE_CHANGE,
    /** How the case is made. */
    CASE_KIND,
    /** The leg's age. */
    AGE_YEARS,
    /** What was done last. */
    LAST_JOB,
    /** How the lips face. */
    SEAL_LAYOUT,
    /** Causes found on the sister leg. */
    TWIN_FOUND,
    /** What it came in for. */
    COMPLAINT,
    /** How hard it works. */
    DUTY,
    /** Months since the impeller was renewed. */
    PUMP_MONTHS;

    /** Whether the context has that value, or lies within the bounds, both inclusive. What is absent never matches. */
    boolean matches(Context context, Optional<String> is, OptionalDouble from, OptionalDouble to) {
        if (this == TWIN_FOUND) {
            return is.isPresent() && context.twinFound().contains(is.get());
        }
        if (this == COMPLAINT) {
            return is.isPresent()
                    && context.complaint().stream().map(When::file).anyMatch(is.get()::equals);
        }
        OptionalDouble number = number(context);
        if (number.isPresent()) {
            return number.getAsDouble() >= from.orElse(Double.NEGATIVE_INFINITY)
                    && number.getAsDouble() <= to.orElse(Double.POSITIVE_INFINITY);
        }
        return is.isPresent() && word(context).equals(is);
    }

    /** Whether the context says nothing of it. */
    boolean absent(Context context) {
        return switch (this) {
            case TWIN_FOUND -> context.twinFound().isEmpty();
            case COMPLAINT -> context.complaint().isEmpty();
            default -> number(context).isEmpty() && word(context).isEmpty();
        };
    }

    private OptionalDouble number(Context context) {
        return switch (this) {
            case HOURS_SINCE_CHANGE -> context.hoursSinceChange();
            case MONTHS_SINCE_CHANGE -> context.monthsSinceChange();
            case AGE_YEARS -> context.ageYears();
            case PUMP_MONTHS -> context.pumpMonths();
            default -> OptionalDouble.empty();
        };
    }

    private Optional<String> word(Context context) {
        Optional<?> value =
                switch (this) {
                    case WATER -> context.water();
                    case SAND -> context.sand();
                    case STORAGE -> context.storage();
                    case CASE_KIND -> context.caseKind();
                    case LAST_JOB -> context.lastJob();
                    case SEAL_LAYOUT -> context.sealLayout();
                    case DUTY -> context.duty();
                    default -> Optional.empty();
                };
        return value.map(When::file);
    }

    private static String file(Object value) {
        return value.toString().toLowerCase(Locale.ROOT);
    }
}
