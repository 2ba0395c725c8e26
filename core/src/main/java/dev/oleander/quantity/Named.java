package dev.oleander.quantity;

/** A constant with a word, and a name for people. */
public interface Named extends Worded {

    String label();
}
