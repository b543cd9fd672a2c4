package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;

/** Counts what was tried against the store and what failed: small in the suite, large where {@code -Dmussel.attack} says how much. */
final class Attack {
    private final String name;
    private final List<String> failed = new ArrayList<>();
    private int tried;

    Attack(String name) {
        this.name = name;
    }

    /** How many times: so many in the suite, so many in a whole attack of a thousand. */
    static int times(int small, int whole) {
        Integer scale = Integer.getInteger("mussel.attack");
        return scale == null ? small : Math.max(small, (int) ((long) whole * scale / 1_000));
    }

    interface Try {
        void run() throws Exception;
    }

    /** One try; what it throws is a failure, told with what it was. */
    void attempt(String what, Try attempt) {
        tried++;
        try {
            attempt.run();
        } catch (Exception | AssertionError e) {
            failed.add(what + ": " + e);
        }
    }

    /** Says how it went, and fails where anything did. */
    void over() {
        System.out.println("ATTACK " + name + ": " + tried + " tried, " + failed.size() + " failed");
        assertThat(failed).as(name).isEmpty();
    }
}
