package dev.oleander.web.api;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestMissing;
import dev.oleander.nesting.NestPlace;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.choice.DistanceChoices;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.web.api.NestJson.BestView;
import dev.oleander.web.api.NestJson.LaidView;
import dev.oleander.web.api.NestJson.LineView;
import dev.oleander.web.api.NestJson.MissingView;
import dev.oleander.web.api.NestJson.NeighbourView;
import dev.oleander.web.api.NestJson.NestView;
import dev.oleander.web.api.NestJson.PlacementView;
import dev.oleander.web.api.NestJson.RemnantView;
import dev.oleander.web.api.NestJson.ResultSheet;
import dev.oleander.web.api.NestJson.ResultView;
import dev.oleander.web.api.NestJson.RulesView;
import dev.oleander.web.api.NestJson.SearchView;
import dev.oleander.web.api.NestJson.SheetView;
import dev.oleander.web.api.NestJson.WhyView;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.nest.NestWhy;
import dev.oleander.web.nest.Nests;
import dev.oleander.work.Spacing;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Nests in the words of the HTTP interface. */
final class NestMapper {

    private final long job;
    private final JobResult result;
    private final Nesting nesting;
    private final NestTask task;

    /**
     * @throws dev.oleander.web.job.document.RefusedEditException when the job's parts are not
     *     nested
     */
    NestMapper(long job, JobResult result) {
        this.job = job;
        this.result = result;
        this.task = Nests.task(result);
        this.nesting = result.nesting().orElseThrow();
    }

    NestView nest(List<String> stale, List<NestResult> searches) {
        NestDocument document = nesting.document();
        return new NestView(
                job,
                result.document().name(),
                result.machine().name(),
                result.document().material(),
                result.document().thickness().value(),
                lines(),
                nesting.choices().stock().stream().map(this::sheet).toList(),
                rules(),
                stale.stream().map(letter -> document.sources().get(letter).job()).toList(),
                laid(),
                searches.stream().map(this::search).toList());
    }

    private List<LineView> lines() {
        NestChoices choices = nesting.choices();
        Map<String, Integer> placed = choices.placed();
        Map<String, NestMissing> missing =
                Nests.missing(result, choices.laid()).stream()
                        .collect(Collectors.toMap(NestMissing::line, Function.identity()));
        List<LineView> lines = new ArrayList<>();
        for (PartLine line : choices.lines()) {
            Optional<NestMissing> left = Optional.ofNullable(missing.get(line.id()));
            lines.add(
                    new LineView(
                            line.id(),
                            jobOf(line),
                            nesting.job(line),
                            line.part(),
                            line.quantity(),
                            placed.getOrDefault(line.id(), 0),
                            left.map(NestMissing::count).orElse(0),
                            choices.laid().isEmpty()
                                    ? null
                                    : left.map(m -> m.why().sentence()).orElse(null),
                            line.priority(),
                            line.due(),
                            line.fill(),
                            NestValues.turnsWord(line.turns()),
                            line.mirror(),
                            line.gap() == null ? null : line.gap().value()));
        }
        return lines;
    }

    private long jobOf(PartLine line) {
        return line.source().isEmpty()
                ? job
                : nesting.document().sources().get(line.source()).job();
    }

    private SheetView sheet(StockLine line) {
        SheetStock stock = nesting.stock(line);
        return new SheetView(
                line.id(),
                line.width(),
                line.height(),
                line.count(),
                stock.price(),
                line.grain(),
                line.remnant());
    }

    static WhyView why(NestWhy.Reasons reasons) {
        NestPlace place = reasons.place();
        return new WhyView(
                numbers(place.box()),
                place.front(),
                place.without(),
                place.nearest().stream()
                        .map(
                                n ->
                                        new NeighbourView(
                                                n.line().isEmpty() ? null : n.line(), n.distance()))
                        .toList(),
                reasons.material());
    }

    private RulesView rules() {
        NestRules rules = task.rules();
        Spacing spacing = nesting.spacing(result.kind());
        DistanceChoices set = nesting.choices().distances();
        return new RulesView(
                rules.gap(),
                set.gap() == null ? spacing.source() : "set",
                rules.margin(),
                rules.inOpenings(),
                set.sharesCuts(),
                rules.commonLines().isPresent(),
                set.headsAtOnce(),
                set.headPitch() == null ? null : set.headPitch().value(),
                rules.remnant().map(NestRules.RemnantRule::least).orElse(null),
                100 * set.restShare());
    }

    private List<LaidView> laid() {
        List<LaidView> laid = new ArrayList<>();
        for (Nests.Counted sheet : Nests.counted(task, nesting.choices().laid())) {
            laid.add(
                    new LaidView(
                            laid.size() + 1,
                            sheet.sheet().stock(),
                            sheet.sheet().stretch(),
                            sheet.times(),
                            sheet.rest().map(NestMapper::numbers).orElse(null),
                            placements(sheet.sheet())));
        }
        return laid;
    }

    private static double[] numbers(Box box) {
        return new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
    }

    private List<PlacementView> placements(NestedSheet sheet) {
        return sheet.placements().stream().map(this::placement).toList();
    }

    /** Of the zero of its line. */
    private PlacementView placement(NestPlacement p) {
        Point zero = nesting.choices().line(p.line()).map(PartLine::zero).orElse(null);
        Point at = zero == null ? p.at() : p.transform().apply(zero);
        return new PlacementView(p.line(), at.x(), at.y(), p.angle(), p.mirrored(), p.locked());
    }

    SearchView search(NestResult search) {
        Optional<NestResult.Best> best = search.best();
        return new SearchView(
                search.number(),
                search.state().name().toLowerCase(Locale.ROOT),
                search.wish().from().word(),
                search.seconds(),
                best.map(NestResult.Best::rounds).orElse(null),
                best.map(NestMapper::best).orElse(null),
                bound(),
                search.problem());
    }

    private static BestView best(NestResult.Best best) {
        return new BestView(
                best.cost(),
                best.front(),
                Sheets.count(best.sheets()),
                best.share(),
                best.missing());
    }

    /** What the parts would cost if they covered the cheapest sheets without a gap. */
    private Double bound() {
        double area =
                task.lines().stream()
                        .filter(line -> !line.fill())
                        .mapToDouble(line -> line.quantity() * line.shape().area())
                        .sum();
        return task.stock().stream()
                .mapToDouble(sheet -> sheet.price() / sheet.region().area())
                .min()
                .stream()
                .map(price -> price * area)
                .boxed()
                .findFirst()
                .orElse(null);
    }

    /**
     * @param best of the search
     */
    ResultView result(NestResult search, NestResult.Best best) {
        NestFigures figures = NestFigures.of(task, best.sheets());
        List<RemnantView> remnants = new ArrayList<>();
        for (int i = 0; i < figures.rests().size(); i++) {
            int sheet = i + 1;
            figures.rests()
                    .get(i)
                    .ifPresent(box -> remnants.add(new RemnantView(sheet, numbers(box))));
        }
        return new ResultView(
                result.document().name(),
                search.seconds(),
                search.wish().seed(),
                best.rounds(),
                best.explored(),
                best.sheets().stream()
                        .map(s -> new ResultSheet(s.stock(), s.stretch(), placements(s)))
                        .toList(),
                remnants,
                figures.cost(),
                figures.share(),
                Nests.missing(result, best.sheets()).stream()
                        .map(m -> new MissingView(m.line(), m.count(), m.why().sentence()))
                        .toList());
    }
}
