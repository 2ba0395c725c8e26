package dev.oleander.machine;

import java.util.List;

/** The data by which one machine works, of whatever kind it is. */
public interface Book {

    /** Name of the machine. */
    String machine();

    List<? extends BookRow> rows();

    List<String> materials();

    /** Words by which a person chooses among the data of a material: fine, standard. */
    List<String> words();
}
