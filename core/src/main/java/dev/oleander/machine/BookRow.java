package dev.oleander.machine;

/** A row of a book: data for a material at a thickness. */
public interface BookRow {

    String material();

    /** Of the material, mm. */
    double thickness();
}
