package dev.oleander.work.router.deed;

import dev.oleander.value.Source;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.operation.Operation;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something that is done alike to some features.
 *
 * @param id of the operation; see {@link Operation#id(String, int)}
 * @param wished whether people wish it as an operation, and its stops are set for it alone
 * @param kind word of what is done
 * @param features ids; none: the whole of the stock, or nothing was found
 * @param values that hold
 * @param sources of the values, by feature; under no feature those of the whole
 * @param operation empty when something in it cannot be read
 * @param refusal why, a sentence
 */
public record Deed(
        String id,
        boolean wished,
        String kind,
        List<String> features,
        RouterChoice values,
        Map<String, Map<String, Source>> sources,
        Optional<Operation> operation,
        Optional<String> refusal) {

    public Deed {
        features = List.copyOf(features);
        sources = Map.copyOf(sources);
    }

    /** What of a feature it is: its name where it is an operation of its own, else nothing. */
    public String deed() {
        return wished ? Operation.nameOf(id) : "";
    }

    /** Where its values come from. */
    public Map<String, Source> sourcesOf(String feature) {
        return sources.getOrDefault(feature, Map.of());
    }
}
