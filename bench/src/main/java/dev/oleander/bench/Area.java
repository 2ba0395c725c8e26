package dev.oleander.bench;

import java.util.List;

/** A group of benchmarks that is measured and printed together. */
public interface Area {

    /** As it is named on the command line. */
    String name();

    /**
     * @throws Exception when something cannot be measured; the message says what
     */
    List<Row> measure() throws Exception;
}
