package dev.oleander.web.bench;

import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.draw.Parameter;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A step of drawing with its values.
 *
 * @param command word of it
 * @param features ids of what it drew, apart by commas
 * @param note its main values in short
 * @param trouble why it cannot be done; empty when it can
 * @param takesMore whether more is put on it by a click
 * @param texts what it says, where that are several texts; the first of very many
 */
public record StepView(
        String id,
        String command,
        String label,
        String features,
        String note,
        String trouble,
        boolean takesMore,
        List<Section> sections,
        List<TextRow> texts) {

    /** Texts of a step that are listed. */
    private static final int MOST_TEXTS = 400;

    /**
     * One of several texts of a step.
     *
     * @param x mm, and {@code y}: where it is
     */
    public record TextRow(int number, String text, String x, String y) {}

    /**
     * Values that stand together.
     *
     * @param heading empty: always in sight
     * @param open whether one of them is not as usual
     */
    public record Section(String heading, boolean open, List<Field> fields) {

        /** The same where some values differ. */
        Section mixed(Set<String> names) {
            List<Field> all =
                    fields.stream()
                            .map(f -> names.contains(f.parameter().name()) ? f.mixed() : f)
                            .toList();
            boolean shown = open || fields.stream().anyMatch(f -> names.contains(f.name()));
            return new Section(heading, shown, all);
        }
    }

    /** A value, and of what kind it is. */
    public record Field(Parameter parameter, FieldView view) {

        String name() {
            return parameter.name();
        }

        Field mixed() {
            return new Field(parameter, view.differing());
        }

        /** What it may be. */
        public List<Choice> choices() {
            return parameter.kind() == Parameter.Kind.YES_NO
                    ? List.of(new Choice("no", "no"), new Choice("yes", "yes"))
                    : parameter.options().stream()
                            .map(o -> new Choice(o.word(), o.label()))
                            .toList();
        }
    }

    /** What a value may be. */
    public record Choice(String value, String label) {}

    /**
     * Steps of one command as one, their values where all have the same; null when there is none or
     * they are of several commands.
     */
    static StepView of(JobResult result, EditError error, Set<String> ids) {
        List<DrawStep> steps =
                result.document().shape().steps().stream()
                        .filter(s -> ids.contains(s.id()))
                        .toList();
        boolean alike = steps.stream().map(DrawStep::command).distinct().count() == 1;
        if (!alike || steps.size() < ids.size()) {
            return null;
        }
        List<StepView> views =
                of(result, error).stream().filter(v -> ids.contains(v.id())).toList();
        return views.size() == 1 ? views.get(0) : together(steps, views, error);
    }

    private static StepView together(List<DrawStep> steps, List<StepView> views, EditError error) {
        DrawStep first = steps.get(0);
        Map<String, String> same = new HashMap<>(first.values());
        Set<String> mixed = new HashSet<>();
        for (DrawStep step : steps) {
            Set<String> names = new HashSet<>(step.values().keySet());
            names.addAll(first.values().keySet());
            names.stream()
                    .filter(n -> !Objects.equals(first.values().get(n), step.values().get(n)))
                    .forEach(mixed::add);
        }
        String ids = steps.stream().map(DrawStep::id).collect(Collectors.joining(","));
        String features =
                views.stream()
                        .map(StepView::features)
                        .filter(f -> !f.isEmpty())
                        .collect(Collectors.joining(","));
        DrawStep all = new DrawStep(ids, first.command(), first.on(), same);
        StepView one = view(all, features, "", error);
        return new StepView(
                ids,
                first.command(),
                "%d × %s".formatted(steps.size(), one.label()),
                features,
                one.note(),
                "",
                false,
                one.sections().stream().map(s -> s.mixed(mixed)).toList(),
                List.of());
    }

    /** All steps of a drawing, the newest first. */
    static List<StepView> of(JobResult result, EditError error) {
        Map<String, String> troubles = new HashMap<>();
        for (Drawn.Trouble t : result.shape().drawn().troubles()) {
            troubles.put(t.step(), t.sentence());
        }
        Map<String, List<String>> features = new HashMap<>();
        result.reading()
                .features()
                .forEach(
                        f ->
                                features.computeIfAbsent(
                                                ShapeEdits.stepOf(f.sources().get(0)),
                                                s -> new ArrayList<>())
                                        .add(f.id()));
        List<StepView> views = new ArrayList<>();
        for (DrawStep step : result.document().shape().steps()) {
            String ids = String.join(",", features.getOrDefault(step.id(), List.of()));
            StepView view = view(step, ids, troubles.getOrDefault(step.id(), ""), error);
            views.add(0, view.saying(texts(result, step)));
        }
        return views;
    }

    /** Whether it is drawn by its values alone, so that it can be drawn elsewhere. */
    public boolean isKeepable() {
        return !id.contains(",")
                && Commands.find(command)
                        .filter(
                                c ->
                                        c.targets() == Command.Targets.NONE
                                                || c.targets() == Command.Targets.CHAIN_OR_NONE)
                        .isPresent();
    }

    private static List<TextRow> texts(JobResult result, DrawStep step) {
        List<Drawn.Said> said =
                result.shape().drawn().numbers().stream()
                        .filter(n -> n.step().equals(step.id()) && n.said().size() > 1)
                        .flatMap(n -> n.said().stream())
                        .limit(MOST_TEXTS)
                        .toList();
        return IntStream.range(0, said.size())
                .mapToObj(
                        i ->
                                new TextRow(
                                        i + 1,
                                        said.get(i).text(),
                                        Numbers.plain(said.get(i).at().x(), 3),
                                        Numbers.plain(said.get(i).at().y(), 3)))
                .toList();
    }

    private StepView saying(List<TextRow> rows) {
        return new StepView(id, command, label, features, note, trouble, takesMore, sections, rows);
    }

    private static StepView view(DrawStep step, String ids, String trouble, EditError error) {
        Command command = Commands.find(step.command()).orElse(null);
        if (command == null) {
            return new StepView(
                    step.id(),
                    step.command(),
                    step.command(),
                    ids,
                    "",
                    trouble,
                    false,
                    List.of(),
                    List.of());
        }
        Map<String, List<Field>> fields = new LinkedHashMap<>();
        for (Parameter p : command.parameters()) {
            fields.computeIfAbsent(p.section(), s -> new ArrayList<>())
                    .add(new Field(p, field(p, step, error)));
        }
        List<Section> sections = new ArrayList<>();
        fields.forEach((heading, of) -> sections.add(new Section(heading, isOpen(of, step), of)));
        return new StepView(
                step.id(),
                command.word(),
                command.label(),
                ids,
                note(command, step),
                trouble,
                command.takesMore(),
                sections,
                List.of());
    }

    private static boolean isOpen(List<Field> fields, DrawStep step) {
        return fields.stream().anyMatch(f -> step.values().containsKey(f.parameter().name()));
    }

    /** Values of a command by their headings. */
    static Map<String, List<Parameter>> sections(Command command) {
        Map<String, List<Parameter>> sections = new LinkedHashMap<>();
        command.parameters()
                .forEach(p -> sections.computeIfAbsent(p.section(), s -> new ArrayList<>()).add(p));
        return sections;
    }

    private static String note(Command command, DrawStep step) {
        List<String> said = new ArrayList<>();
        for (Parameter p : command.parameters()) {
            boolean place = p.kind() == Parameter.Kind.X || p.kind() == Parameter.Kind.Y;
            String text = step.values().get(p.name());
            if (!place && text != null && said.size() < 3) {
                said.add(text);
            }
        }
        return String.join(", ", said);
    }

    private static FieldView field(Parameter p, DrawStep step, EditError error) {
        String text = step.values().getOrDefault(p.name(), "");
        boolean here = !text.isEmpty();
        FieldView view =
                new FieldView(
                        p.name(),
                        p.label(),
                        here ? text : p.otherwise(),
                        "",
                        unit(p),
                        here ? "here" : "usual",
                        false,
                        false,
                        "");
        return error.in(view);
    }

    /** Unit that is written behind a value; empty for counts and words. */
    public static String unit(Parameter p) {
        return switch (p.kind()) {
            case LENGTH, X, Y -> "mm";
            case ANGLE -> "°";
            default -> "";
        };
    }
}
