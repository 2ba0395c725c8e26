package dev.oleander.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** How long answers took and what they were, by kind of request. Serves many threads. */
final class LoadFigures {

    private final Map<String, List<Double>> seconds = new TreeMap<>();
    private final Map<String, Integer> errors = new TreeMap<>();
    private int answers;
    private int busy;

    /**
     * @param status of HTTP; 0 when no answer came
     */
    synchronized void add(String kind, double took, int status) {
        answers++;
        seconds.computeIfAbsent(kind, k -> new ArrayList<>()).add(took);
        if (status == 503) {
            busy++;
        } else if (status == 0 || status >= 400 && status != 409) {
            errors.merge(kind + " " + status, 1, Integer::sum);
        }
    }

    synchronized int answers() {
        return answers;
    }

    /** Answers that ask to come again. */
    synchronized int busy() {
        return busy;
    }

    /** By kind and status. */
    synchronized Map<String, Integer> errors() {
        return new TreeMap<>(errors);
    }

    synchronized List<String> kinds() {
        return List.copyOf(seconds.keySet());
    }

    /**
     * Seconds within which a share of the answers of a kind came.
     *
     * @param share 0 to 1
     */
    synchronized double within(String kind, double share) {
        List<Double> sorted = seconds.getOrDefault(kind, List.of()).stream().sorted().toList();
        if (sorted.isEmpty()) {
            return 0;
        }
        return sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
    }
}
