package dev.oleander.nesting.search;

import dev.oleander.nesting.NestScore;

/** A nest without overlaps that a world has found; others may go on from it. */
record Found(NestScore score, SheetSet set, Scene.Places places) {}
