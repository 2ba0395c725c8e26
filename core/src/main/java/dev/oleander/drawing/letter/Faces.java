package dev.oleander.drawing.letter;

import java.util.Optional;
import java.util.stream.Stream;

/** Finds fonts by the SHA-256 of their files. */
@FunctionalInterface
public interface Faces {

    /** Alphabets of single lines: our own, under its own sum and under none, and Hershey's. */
    Faces SHIPPED =
            sha256 ->
                    sha256.isEmpty()
                            ? Optional.of(StrokeFont.marking())
                            : Stream.of(
                                            StrokeFont.marking(),
                                            HersheyFont.roman(),
                                            HersheyFont.script())
                                    .filter(f -> f.names().sha256().equals(sha256))
                                    .findFirst();

    /**
     * @param sha256 empty: the alphabet of single lines
     * @return empty: there is no such font
     */
    Optional<TypeFace> find(String sha256);
}
