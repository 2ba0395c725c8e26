package dev.oleander.web.work.sheet;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Source;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.EqualContours;
import dev.oleander.web.bench.Fields;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Fixed;
import dev.oleander.web.bench.SlipRow.Note;
import dev.oleander.web.bench.SlipRow.Tools;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.bench.TabRows;
import dev.oleander.web.bench.WorkPages;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/** What the bench shows of cutting sheets. */
@Component
class SheetPages implements WorkPages {

    @Override
    public SheetCutting kind() {
        return SHEET;
    }

    @Override
    public String template() {
        return "work/sheet";
    }

    @Override
    public Optional<String> module() {
        return Optional.of("leads.js");
    }

    @Override
    public String thickness() {
        return "Thickness";
    }

    @Override
    public Set<String> withoutOnBed() {
        return Set.of();
    }

    @Override
    public Optional<Object> scene(JobResult result) {
        return Optional.empty();
    }

    @Override
    public List<SlipSection> ofStops(JobResult result, List<Stop> stops, EditError error) {
        return new OfStops(result, stops, error).sections();
    }

    @Override
    public List<SlipSection> ofJob(JobResult result, EditError error) {
        Fields<?> fields = Fields.ofJob(SHEET, result, error);
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.listed("quality"));
        rows.add(new SlipRow.Order());
        rows.add(fields.listed("smallHoles"));
        int drilled = result.isPlanned() ? result.run().drilled().size() : 0;
        if (drilled > 0) {
            rows.add(new Note("%d holes are left for drilling.".formatted(drilled)));
        }
        return List.of(new SlipSection("How it is cut", rows));
    }

    private static final class OfStops {
        private final JobResult result;
        private final List<Stop> stops;
        private final EditError error;
        private final Fields<StopChoice> fields;

        OfStops(JobResult result, List<Stop> stops, EditError error) {
            this.result = result;
            this.stops = stops;
            this.error = error;
            this.fields = Fields.ofStops(SHEET, result, stops, error);
        }

        /** Marks and open lines have neither side nor leads. */
        List<SlipSection> sections() {
            boolean profiles = stops.stream().allMatch(s -> s.kind() == Stop.Kind.PROFILE);
            SlipSection first = new SlipSection("Side and data", sideAndData(profiles));
            return profiles
                    ? List.of(
                            first,
                            new SlipSection("Lead-in", leadIn()),
                            new SlipSection("End", end()),
                            new SlipSection("Tabs", tabs()),
                            new SlipSection("Corners and passes", ways()))
                    : List.of(first);
        }

        private List<SlipRow> sideAndData(boolean profiles) {
            List<SlipRow> rows = new ArrayList<>();
            if (profiles) {
                rows.add(fields.segments("side"));
            }
            if (stops.stream().anyMatch(OfStops::isTurned)) {
                rows.add(
                        new Note(
                                "The head runs on a side set here, not the one the reading gives.",
                                true));
            }
            rows.add(fields.listed("quality"));
            rows.add(ofBook("Kerf", "mm", "kerf", s -> ofRow(s, r -> Numbers.plain(r.kerf(), 3))));
            rows.add(ofBook("Feed", "mm/min", "feed", OfStops::feed));
            rows.add(
                    ofBook(
                            "Pierce",
                            "s",
                            "kerf",
                            s -> ofRow(s, r -> Numbers.plain(r.pierceSeconds(), 2))));
            if (!profiles) {
                rows.add(new Note("Runs on the line itself: no side, no leads."));
            }
            return rows;
        }

        private static boolean isTurned(Stop stop) {
            return stop.side() != Side.ON && stop.sources().get("side") == Source.HERE;
        }

        /** As it is used, to be changed in the cut book only. */
        private SlipRow ofBook(
                String label, String unit, String source, Function<Stop, String> value) {
            String text = value.apply(stops.get(0));
            boolean mixed = stops.stream().anyMatch(s -> !value.apply(s).equals(text));
            Source from = stops.get(0).sources().getOrDefault(source, Source.RECIPE);
            return new Fixed(
                    label,
                    mixed ? "differs" : text,
                    unit,
                    mixed ? "differs" : from.word(),
                    "/machines/" + result.machine().id(),
                    "",
                    "");
        }

        private static String ofRow(Stop stop, Function<CutRow, String> value) {
            return SheetCut.of(stop).row().map(value).orElse("");
        }

        private static String feed(Stop stop) {
            return stop.passes().isEmpty() ? "" : Numbers.plain(stop.passes().get(0).feed(), 0);
        }

        // ---- leads

        private List<SlipRow> leadIn() {
            List<SlipRow> rows = new ArrayList<>(lead("leadIn", Stop::leadIn));
            rows.add(fields.typed("start"));
            if (stops.size() == 1) {
                rows.add(new Tools(List.of(new Tools.Part("why-here", "Why here?")), true));
            }
            rows.addAll(EqualContours.rows(result, stops, fields, error));
            return rows;
        }

        private List<SlipRow> end() {
            List<SlipRow> rows = new ArrayList<>();
            rows.add(fields.typed("overRun"));
            rows.addAll(lead("leadOut", Stop::leadOut));
            return rows;
        }

        private List<SlipRow> lead(String name, Function<Stop, Lead> of) {
            List<SlipRow> rows = new ArrayList<>();
            rows.add(fields.segments(name + ".kind"));
            if (any(of, LeadKind::hasLine)) {
                rows.add(fields.typed(name + ".length"));
            }
            if (any(of, LeadKind::hasArc)) {
                rows.add(fields.typed(name + ".radius"));
            }
            if (any(of, kind -> kind != LeadKind.NONE)) {
                rows.add(fields.typed(name + ".angle"));
            }
            return rows;
        }

        private boolean any(Function<Stop, Lead> of, Predicate<LeadKind> condition) {
            return stops.stream().anyMatch(s -> condition.test(of.apply(s).kind()));
        }

        // ---- tabs, corners, passes

        private List<SlipRow> tabs() {
            List<SlipRow> rows = new ArrayList<>();
            rows.add(fields.typed("tabs.count"));
            rows.add(fields.typed("tabs.spacing"));
            rows.add(fields.typed("tabs.length"));
            int byHand = fields.subjects().stream().mapToInt(s -> s.set().tabs().at().size()).sum();
            rows.addAll(TabRows.of(byHand, stops));
            return rows;
        }

        private List<SlipRow> ways() {
            List<SlipRow> rows = new ArrayList<>();
            rows.add(fields.segments("corners"));
            cornerFeed().ifPresent(sentence -> rows.add(new Note(sentence)));
            rows.add(fields.typed("passes"));
            rows.add(fields.listed("compensation"));
            rows.add(fields.segments("film"));
            return rows;
        }

        /** The feed near corners, in words; empty when it is not reduced. */
        private Optional<String> cornerFeed() {
            return SheetCut.of(stops.get(0))
                    .row()
                    .map(CutRow::corner)
                    .filter(corner -> corner.share() < 1)
                    .map(OfStops::sentence);
        }

        private static String sentence(CutRow.Corner corner) {
            return "Feed %s %% within %s of corners over %s°."
                    .formatted(
                            Numbers.plain(100 * corner.share(), 0),
                            Numbers.length(corner.within()),
                            Numbers.plain(corner.over(), 0));
        }
    }
}
