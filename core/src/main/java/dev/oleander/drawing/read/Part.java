package dev.oleander.drawing.read;

import dev.oleander.geometry.Region;
import java.util.List;

/** One piece of kept material: an outline with its openings. */
public record Part(String id, String outline, List<String> openings, Region region) {}
