package mussel.core.measure;

/** An input whose fields bear on each other beyond the range of each. */
public interface Checked {
    /**
     * Reports what does not fit together. Each field already lies in its own range when this is called.
     *
     * @param problems where to report
     * @param pointer the place of this input; append to it
     */
    void check(Problems problems, String pointer);
}
