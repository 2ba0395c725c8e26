package dev.oleander.dialect;

/** Reads a text line by line. */
interface LineReader {

    void line(String text);
}
