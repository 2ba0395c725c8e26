package dev.oleander.book;

/** A row of a book: data for a material at a thickness. */
public interface BookRow {

    /** Names it within its book; empty as long as it is in none. */
    String id();

    /** What it is for, in words; no other row of its book is for the same. */
    String label();

    String material();

    /** Of the material, mm. */
    double thickness();
}
