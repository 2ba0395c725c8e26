package dev.oleander.drawing.letter;

/** Fonts of tests in other packages. */
public final class LetterFaces {

    public static final TypeFace BLOCK = LetterCases.BLOCK;

    private LetterFaces() {}
}
