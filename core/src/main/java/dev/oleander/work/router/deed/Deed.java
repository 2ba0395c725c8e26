package dev.oleander.work.router.deed;

import dev.oleander.value.Source;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.operation.Operation;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something that is done alike to some features.
 *
 * @param id of the operation; see {@link Operation#id(String, int)}
 * @param source the job that it was decided in, where several lie on one sheet; else empty
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
        String source,
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
        return wished
                ? Operation.nameOf(id).substring(Operation.inSource(source, "").length())
                : "";
    }

    /** The same as one of several jobs. */
    public Deed inSource(String name) {
        return new Deed(
                Operation.inSource(name, id),
                name,
                wished,
                kind,
                features,
                values,
                sources,
                operation.map(o -> o.inSource(name)),
                refusal);
    }

    /** The same, not done. */
    public Deed refusing(String sentence) {
        return new Deed(
                id,
                source,
                wished,
                kind,
                features,
                values,
                sources,
                Optional.empty(),
                Optional.of(sentence));
    }

    /** Something that is missing, and cannot be done as things are. */
    public static Deed refused(String id, List<String> features, String sentence) {
        return new Deed(
                id,
                "",
                false,
                RouterKind.CONTOUR.word(),
                features,
                RouterChoice.NOTHING,
                Map.of(),
                Optional.empty(),
                Optional.of(sentence));
    }

    /** Where its values come from. */
    public Map<String, Source> sourcesOf(String feature) {
        return sources.getOrDefault(feature, Map.of());
    }
}
