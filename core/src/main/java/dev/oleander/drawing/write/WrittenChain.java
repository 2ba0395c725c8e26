package dev.oleander.drawing.write;

import dev.oleander.geometry.Chain;

/**
 * A chain for a file.
 *
 * @param circle whether it is one whole circle
 */
public record WrittenChain(String layer, Chain chain, boolean circle) {}
