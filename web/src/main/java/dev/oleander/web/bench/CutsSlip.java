package dev.oleander.web.bench;

import dev.oleander.drawing.read.Counterparts;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutRow;
import dev.oleander.motion.Seconds;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.Lead;
import dev.oleander.plan.LeadChoice;
import dev.oleander.plan.LeadKind;
import dev.oleander.plan.Side;
import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.Wires;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/** The values of the selected stops, each with where it comes from. */
public final class CutsSlip {

    /** One of the words a value can have. */
    public record Choice(String value, String label) {}

    private static final int MOST_REMARKS = 5;

    private final JobResult result;
    private final List<Stop> stops;
    private final StopValues values;

    CutsSlip(JobResult result, List<Stop> stops, EditError error) {
        this.result = result;
        this.stops = List.copyOf(stops);
        this.values = new StopValues(result, stops, error);
    }

    public String title() {
        Stop first = stops.get(0);
        return stops.size() == 1
                ? "Stop %d · %s".formatted(first.number(), first.name())
                : stops.size() + " stops";
    }

    public String subtitle() {
        double length = 0;
        double seconds = 0;
        for (Stop stop : stops) {
            length += stop.path().map(CutsSlip::length).orElse(0.0);
            seconds += result.timeline().byStop().getOrDefault(stop.id(), Seconds.NONE).total();
        }
        Stop first = stops.get(0);
        String where =
                stops.size() > 1 || first.part().isEmpty()
                        ? ""
                        : "part %s, copy %d · "
                                .formatted(first.part().replace("p", ""), first.copy());
        return where + Numbers.length(length) + " · " + Numbers.duration(seconds);
    }

    private static double length(CutPath path) {
        return path.all().stream().mapToDouble(s -> s.length()).sum();
    }

    /** Others like the one selected stop; none when several are selected. */
    public List<LikeThis.Choice> likeThis() {
        return stops.size() == 1 ? LikeThis.of(result, stops.get(0)) : List.of();
    }

    /** Sentence of a stop that cannot be cut as it is set; empty when all can. */
    public String refusal() {
        return stops.stream().flatMap(s -> s.refusalSentence().stream()).findFirst().orElse("");
    }

    /** Whether there are other copies of these features, so that a change may be for all. */
    public boolean hasCopies() {
        return Wires.plan(result)
                .map(plan -> plan.copies().size() > 1)
                .orElseGet(() -> result.run().layout().placed() > 1);
    }

    /** On how many equal parts the same contour could be cut as is set here. */
    public long equalContours() {
        boolean set = stops.size() == 1 && !values.here(stops.get(0)).isNothing() && isProfile();
        return set ? Counterparts.count(result.reading(), stops.get(0).part()) : 0;
    }

    /** Whether the selection is a stretch that can be pinned and is not yet. */
    public boolean isPinnable() {
        List<Stop> run = result.run().stops();
        List<Stop> sorted = stops.stream().sorted(Comparator.comparingInt(Stop::number)).toList();
        int first = sorted.get(0).number() - 1;
        return sorted.size() > 1
                && sorted.get(sorted.size() - 1).number() - first == sorted.size()
                && run.subList(first, first + sorted.size()).equals(sorted)
                && !result.runChoices().pins().contains(sorted.stream().map(Stop::id).toList());
    }

    /** Whether one of the stops is pinned to others. */
    public boolean isPinned() {
        return result.runChoices().pins().stream()
                .anyMatch(pin -> stops.stream().anyMatch(s -> pin.contains(s.id())));
    }

    public boolean isSingle() {
        return stops.size() == 1;
    }

    /** Marks and open lines have neither side nor leads. */
    public boolean isProfile() {
        return stops.stream().allMatch(s -> s.kind() == Stop.Kind.PROFILE);
    }

    public FieldView side() {
        return values.field("side", "Head runs", "", s -> s.side().word(), "side");
    }

    public List<Choice> sides() {
        return List.of(
                new Choice("inside", "inside"),
                new Choice("outside", "outside"),
                new Choice("on", "on"));
    }

    public FieldView quality() {
        return values.field(
                "quality", "Cut data", "", s -> s.row().map(CutRow::quality).orElse(""), "data");
    }

    public List<String> qualities() {
        return ((CutBook) result.book())
                .qualities(result.document().material(), result.document().thickness().value());
    }

    /** Kerf and feed as they are used: from the cut book, not to be changed here. */
    public List<FieldView> data() {
        return List.of(
                values.field("kerf", "Kerf", "mm", s -> number(s, CutRow::kerf, 3), "kerf"),
                values.field("feed", "Feed", "mm/min", CutsSlip::feed, "feed"),
                values.field(
                        "pierce", "Pierce", "s", s -> number(s, CutRow::pierceSeconds, 2), "kerf"));
    }

    private static String feed(Stop stop) {
        return stop.passes().isEmpty() ? "" : Numbers.plain(stop.passes().get(0).feed(), 0);
    }

    private static String number(Stop stop, ToDoubleFunction<CutRow> value, int decimals) {
        return stop.row().map(r -> Numbers.plain(value.applyAsDouble(r), decimals)).orElse("");
    }

    /** What was changed of what was wished for, with the number of the stop. */
    public List<String> remarks() {
        return stops.stream()
                .flatMap(s -> s.remarks().stream().map(r -> "Stop %d: %s".formatted(s.number(), r)))
                .limit(MOST_REMARKS)
                .toList();
    }

    /** Tabs, corners and passes. */
    public EventSlip events() {
        return new EventSlip(result, stops);
    }

    public WaysSlip ways() {
        return new WaysSlip(stops, values);
    }

    public FieldView leadInKind() {
        return values.field("leadIn.kind", "Form", "", s -> s.leadIn().kind().word(), "leadIn");
    }

    public FieldView leadOutKind() {
        return values.field("leadOut.kind", "Form", "", s -> s.leadOut().kind().word(), "leadOut");
    }

    public List<Choice> leadKinds() {
        return List.of(
                new Choice("none", "none"),
                new Choice("line", "line"),
                new Choice("arc", "arc"),
                new Choice("lineArc", "both"));
    }

    public List<FieldView> leadIn() {
        return lead("leadIn", Stop::leadIn, StopChoice::leadIn);
    }

    public List<FieldView> leadOut() {
        return lead("leadOut", Stop::leadOut, StopChoice::leadOut);
    }

    private List<FieldView> lead(
            String name, Function<Stop, Lead> of, Function<StopChoice, LeadChoice> set) {
        List<FieldView> fields = new ArrayList<>();
        if (any(of, LeadKind::hasLine)) {
            fields.add(
                    values.typed(
                            name + ".length",
                            "Length",
                            "mm",
                            s -> of.apply(s).length(),
                            c -> set.apply(c).length(),
                            name + "Length"));
        }
        if (any(of, LeadKind::hasArc)) {
            fields.add(
                    values.typed(
                            name + ".radius",
                            "Radius",
                            "mm",
                            s -> of.apply(s).radius(),
                            c -> set.apply(c).radius(),
                            name + "Radius"));
        }
        if (any(of, k -> k != LeadKind.NONE)) {
            fields.add(
                    values.typed(
                            name + ".angle",
                            "Angle",
                            "°",
                            s -> of.apply(s).angle(),
                            c -> set.apply(c).angle(),
                            name + "Angle"));
        }
        return fields;
    }

    private boolean any(Function<Stop, Lead> of, Predicate<LeadKind> condition) {
        return stops.stream().anyMatch(s -> condition.test(of.apply(s).kind()));
    }

    public FieldView start() {
        return values.typed("start", "Starts at", "mm", Stop::startAt, StopChoice::start, "start");
    }

    public FieldView overRun() {
        return values.typed(
                "overRun", "Over-run", "mm", Stop::overRun, StopChoice::overRun, "overRun");
    }

    /** Whether one of the stops lets its path follow another side than that of its scrap. */
    public boolean isTurned() {
        return stops.stream()
                .anyMatch(s -> s.side() != Side.ON && s.sources().get("side") == Source.HERE);
    }
}
