package mussel.core.measure;

/** A constant that is written in files by a name of its own, where the trade's spelling is no name in Java. */
public interface Written {
    /** How it is written in files. */
    String file();
}
