package mussel.core.instrument;

import java.util.List;
import java.util.Map;
import mussel.core.leak.Stage;

/** A leak tester on a practice leg: what hands would do to a real leg is done to a model of one. */
public interface PracticeTester extends LeakTester {
    /** What the practice leg can hide: causes of the diagnosis tables. */
    List<String> canHide();

    /** Puts faults into the practice leg; none makes it sound. */
    void hide(List<String> causes);

    /** Has the practice leg leak just so, whatever was hidden in it. */
    void leaks(LegLeaks so);

    /** Lets time pass (s). */
    void advance(double seconds);

    /** Does to the leg what the stage says, until another stage is set. */
    void stage(Stage stage);

    /** Brushes soapy water everywhere: the finding of each place, yes where it foams. Foams under pressure alone. */
    Map<String, String> brush();
}
