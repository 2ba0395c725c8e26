package dev.oleander.winding.path;

/** What holds when nothing is said. */
final class Defaults {

    /** Of the friction, for turnarounds. */
    static final double SHARE = 0.8;

    private Defaults() {}
}
