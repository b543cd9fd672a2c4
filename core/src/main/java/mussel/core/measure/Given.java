package mussel.core.measure;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What an input is, in what unit and within which range: one statement that the docstring, the published schema, the headless
 * contract and the number field all read.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Given {
    /** The thing in a technician's words, fitting behind "is missing:". */
    String value();

    /** The kind of quantity, where the input is one. */
    Kind kind() default Kind.COUNT;

    /** The least allowed value. */
    double min() default -Double.MAX_VALUE;

    /** The largest allowed value. */
    double max() default Double.MAX_VALUE;

    /** Whether the least value itself is refused. */
    boolean minOpen() default false;

    /** The value taken when absent, as it would be written; empty where there is none. */
    String orElse() default "";

    /** The least number of items of a list. */
    int atLeast() default 0;

    /** Whether a list must be there even where it is empty. */
    boolean stated() default false;

    /** The name in files, where it does not follow from the component's. */
    String name() default "";
}
