package mussel.exchange.record;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mussel.core.measure.Given;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Range;
import mussel.core.measure.Ranges;

/**
 * What a record looks like in a file: its fields with their names and what {@link Given} says of them. Read off the class once and kept,
 * since asking a class for its annotations anew for each record would be most of the time of reading.
 *
 * @param fields the fields, in the order of the constructor
 * @param names their names, for the refusal of others
 * @param constructor makes the record
 */
record RecordShape(List<FieldShape> fields, Set<String> names, Constructor<?> constructor) {
    private static final ClassValue<RecordShape> SHAPES = new ClassValue<>() {
        @Override
        protected RecordShape computeValue(Class<?> type) {
            return read(type);
        }
    };

    static RecordShape of(Class<? extends Record> type) {
        return SHAPES.get(type);
    }

    /** Makes the record of values that lie in their ranges. */
    Object make(Object[] values) {
        try {
            return constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            throw new IllegalStateException("The constructor " + constructor + " refuses what its ranges allow", e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("The constructor " + constructor + " is not open", e);
        }
    }

    private static RecordShape read(Class<?> type) {
        RecordComponent[] components = type.getRecordComponents();
        List<FieldShape> fields = Arrays.stream(components).map(FieldShape::of).toList();
        try {
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            Set<String> names = fields.stream().map(FieldShape::name).collect(Collectors.toCollection(TreeSet::new));
            return new RecordShape(fields, names, type.getDeclaredConstructor(types));
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException(type.getSimpleName() + " is no record", e);
        }
    }

    /**
     * One field.
     *
     * @param name its name in files
     * @param type its type
     * @param item the type within a list or an optional, else the type itself
     * @param what what it is, in words
     * @param range the valid range of a number
     * @param unit the unit of a number
     * @param orElse the value taken when absent; empty where there is none
     * @param atLeast the least number of items of a list
     * @param stated whether a list must be there even where it is empty
     * @param outcomes the constants of an enum by their names in files; empty for other types
     */
    record FieldShape(
            String name,
            Class<?> type,
            Class<?> item,
            String what,
            Range range,
            String unit,
            String orElse,
            int atLeast,
            boolean stated,
            List<Outcome> outcomes) {
        private static FieldShape of(RecordComponent component) {
            Given given = component.getAnnotation(Given.class);
            Class<?> type = component.getType();
            Class<?> item = itemOf(component);
            String name = given.name().isEmpty() ? NamedBy.file(component.getName()) : given.name();
            List<Outcome> outcomes = item.isEnum()
                    ? Arrays.stream(item.getEnumConstants())
                            .map(c -> new Outcome(NamedBy.file((Enum<?>) c), c))
                            .toList()
                    : List.of();
            return new FieldShape(
                    name,
                    type,
                    item,
                    given.value(),
                    Ranges.range(given),
                    given.kind().canonical(),
                    given.orElse(),
                    given.atLeast(),
                    given.stated() || given.atLeast() > 0,
                    outcomes);
        }
    }

    /** The type within a list, an optional or a map, else the type itself. */
    static Class<?> itemOf(RecordComponent component) {
        Class<?> type = component.getType();
        if (type != List.class && type != Optional.class && type != Map.class) {
            return type;
        }
        Type[] arguments = ((ParameterizedType) component.getGenericType()).getActualTypeArguments();
        return (Class<?>) arguments[arguments.length - 1];
    }

    /**
     * One constant of an enum.
     *
     * @param name as it stands in files
     * @param constant the constant
     */
    record Outcome(String name, Object constant) {}
}
