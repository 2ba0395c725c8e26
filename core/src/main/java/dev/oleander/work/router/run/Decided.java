package dev.oleander.work.router.run;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.work.Task;
import dev.oleander.work.Together;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.deed.Deed;
import dev.oleander.work.router.deed.Deeds;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.EdgeDrill;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is decided for what lies on the bed: in the job alone, or in each job of a nest. */
final class Decided {

    /** Name of what is missing; the brackets keep it apart from what people call theirs. */
    private static final String NOT_CUT = "(not cut out)";

    private Decided() {}

    /** What was decided in each job that lies there, by its name; alone without one. */
    static Map<String, RouterChoices> bySource(Task<RouterChoices> task) {
        Map<String, RouterChoices> all = new LinkedHashMap<>();
        all.put("", task.choices());
        task.together().map(Together::choices).ifPresent(all::putAll);
        return all;
    }

    /**
     * Tools of all of them, each number once.
     *
     * @throws PlanException naming what is wrong with one, or a number that means two tools
     */
    static List<Tool> tools(Task<RouterChoices> task) {
        RouterBook book = (RouterBook) task.book();
        Map<Integer, Tool> byNumber = new LinkedHashMap<>();
        for (Map.Entry<String, RouterChoices> of : bySource(task).entrySet()) {
            for (Tool tool : RunPlanner.tools(of.getValue(), book)) {
                Tool other = byNumber.putIfAbsent(tool.number(), tool);
                boolean nested = task.together().isPresent();
                if (other != null && nested && !other.equals(tool)) {
                    throw new PlanException(
                            "Tool %d of %s is another one than that of the rest of the sheet: one number can mean one tool only."
                                    .formatted(tool.number(), of.getKey()));
                }
            }
        }
        return task.together().isEmpty()
                ? RunPlanner.tools(task.choices(), book)
                : List.copyOf(byNumber.values());
    }

    /**
     * Everything that is done, of each job as it says.
     *
     * @param all what is done to one copy, as the job alone would have it
     */
    static List<Deed> of(Task<RouterChoices> task, Alone all) {
        if (task.together().isEmpty()) {
            return Deeds.of(task.reading(), task.choices(), all.thickness, all.stock, all.tools);
        }
        List<Deed> deeds = new ArrayList<>();
        bySource(task)
                .forEach(
                        (source, choices) -> {
                            Reading own = of(task.reading(), source);
                            if (!own.features().isEmpty()) {
                                deeds.addAll(ofSource(source, own, choices, all));
                            }
                        });
        return deeds;
    }

    /**
     * @param stock seen from above
     */
    record Alone(double thickness, Box stock, List<Tool> tools) {}

    private static Reading of(Reading joined, String source) {
        return part(joined, new PartRef(source, ""));
    }

    /** Features and parts of what lies at a place. */
    static Reading part(Reading all, PartRef of) {
        List<Feature> held = all.features().stream().filter(of::holds).toList();
        return new Reading(
                all.drawing(), held, of.parts(all), all.holes(), all.faults(), all.layerPurposes());
    }

    private static List<Deed> ofSource(
            String source, Reading own, RouterChoices choices, Alone all) {
        List<Deed> deeds = new ArrayList<>();
        for (Deed deed : Deeds.of(own, choices, all.thickness, own.workBox(), all.tools)) {
            Deed there = source.isEmpty() ? deed : deed.inSource(source);
            Optional<String> not = deed.operation().flatMap(Decided::whyNotNested);
            deeds.add(not.map(there::refusing).orElse(there));
        }
        return held(source, own, deeds);
    }

    /** What a part that lies among others on a board cannot have done to it. */
    private static Optional<String> whyNotNested(Operation operation) {
        if (operation.what() instanceof Face) {
            return Optional.of("The top of a whole sheet is faced, not that of a part on it.");
        }
        if (operation.what() instanceof EdgeDrill) {
            return Optional.of("An edge of a part that lies among others cannot be drilled.");
        }
        boolean turned = operation.wrapped() || operation.copies().isPresent();
        return turned
                ? Optional.of("What goes round the axis cannot lie on a sheet with others.")
                : Optional.empty();
    }

    /** Whether a part is held by tabs when it is cut out. */
    static boolean isTabbed(Task<RouterChoices> task, Part part) {
        return contours(task, part)
                .filter(d -> d.features().contains(part.outline()))
                .flatMap(d -> d.operation().stream())
                .anyMatch(o -> o.what() instanceof Round round && round.tabs().isPresent());
    }

    /** What goes round contours of the job that a part is of. */
    private static Stream<Deed> contours(Task<RouterChoices> task, Part part) {
        Alone all = new Alone(task.order().thickness(), task.reading().workBox(), tools(task));
        String source = FeatureKey.sourceOf(part.id());
        RouterChoices choices = bySource(task).get(source);
        return ofSource(source, of(task.reading(), source), choices, all).stream()
                .filter(d -> d.kind().equals(RouterKind.CONTOUR.word()));
    }

    /**
     * A part with those of its openings only that are cut out by a tool that goes round in them.
     */
    static Region solid(Task<RouterChoices> task, Part part) {
        if (part.openings().isEmpty()) {
            return part.region();
        }
        Set<String> cut =
                contours(task, part)
                        .filter(
                                d ->
                                        d.values()
                                                .get(WishValues.DEPTH)
                                                .filter("through"::equals)
                                                .isPresent())
                        .flatMap(d -> d.features().stream())
                        .collect(Collectors.toSet());
        Map<String, Feature> features = task.reading().byId();
        List<Contour> holes =
                part.openings().stream()
                        .filter(cut::contains)
                        .map(id -> features.get(id).contour())
                        .toList();
        return new Region(part.region().outer(), holes);
    }

    /** A part that nothing cuts out would stay in the sheet: it is told of. */
    private static List<Deed> held(String source, Reading own, List<Deed> deeds) {
        Set<String> cut =
                deeds.stream()
                        .filter(d -> d.kind().equals(RouterKind.CONTOUR.word()))
                        .flatMap(d -> d.features().stream())
                        .collect(Collectors.toCollection(HashSet::new));
        List<Deed> all = new ArrayList<>(deeds);
        int number = 0;
        for (Part part : own.parts()) {
            if (!cut.contains(part.outline())) {
                String id = Operation.id(NOT_CUT, ++number);
                Deed missing =
                        Deed.refused(
                                id,
                                List.of(part.outline()),
                                "Nothing cuts round this part: it would stay in the sheet.");
                all.add(source.isEmpty() ? missing : missing.inSource(source));
            }
        }
        return all;
    }
}
