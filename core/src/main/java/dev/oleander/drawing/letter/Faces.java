package dev.oleander.drawing.letter;

import java.util.Optional;

/** Finds fonts by the SHA-256 of their files. */
@FunctionalInterface
public interface Faces {

    /** Our own alphabet of single lines, under its own sum and under none. */
    Faces SHIPPED =
            sha256 ->
                    sha256.isEmpty() || sha256.equals(StrokeFont.marking().names().sha256())
                            ? Optional.of(StrokeFont.marking())
                            : Optional.empty();

    /**
     * @param sha256 empty: the alphabet of single lines
     * @return empty: there is no such font
     */
    Optional<TypeFace> find(String sha256);
}
