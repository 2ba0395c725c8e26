package dev.oleander.web.work.router;

import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.Fields;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Note;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.bench.WorkPages;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterOrder;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What the bench shows of a router. */
@Component
class RouterPages implements WorkPages {

    /** Its own fragments. */
    static final String TEMPLATE = "work/router";

    private static final double MM = 1000;

    @Override
    public RouterMilling kind() {
        return RouterMilling.ROUTER;
    }

    @Override
    public String template() {
        return TEMPLATE;
    }

    @Override
    public Optional<String> module() {
        return Optional.of("router.js");
    }

    @Override
    public String thickness() {
        return "Thickness";
    }

    @Override
    public Set<String> withoutOnBed() {
        return Set.of("heldAt", "commonLines");
    }

    @Override
    public Optional<Object> scene(JobResult result) {
        return result.own(RouterRun.class).map(RouterScene::of);
    }

    @Override
    public List<SlipSection> ofStops(JobResult result, List<Stop> stops, EditError error) {
        return new RouterStopSlip(result, stops, error).sections();
    }

    @Override
    public List<SlipSection> ofJob(JobResult result, EditError error) {
        Fields<RouterChoices> fields = Fields.ofJob(RouterMilling.ROUTER, result, error);
        List<SlipRow> rows = new ArrayList<>();
        rows.add(new SlipRow.Order());
        rows.add(fields.typed("stepDown"));
        rows.add(fields.typed("allowance"));
        rows.add(fields.listed("zero"));
        rows.add(fields.segments("zeroHeight"));
        rows.add(fields.typed("pods"));
        rows.add(new Note("Of each pod x, y, width, depth; a semicolon before the next one."));
        rows.add(fields.listed("shown"));
        rows.add(fields.listed("grain"));
        List<SlipSection> sections = new ArrayList<>();
        sections.add(new SlipSection("How it is milled", rows));
        result.own(RouterRun.class)
                .map(RouterRun::plan)
                .ifPresent(plan -> sections.add(tools(plan)));
        sections.add(operations(result, fields));
        return sections;
    }

    // ---- tools

    /**
     * A tool that is used.
     *
     * @param metres it cuts, with what of its life that is
     */
    public record ToolRow(int number, String name, int stops, String metres) {}

    /** Those in the order in which they are taken. */
    public record ToolBand(String changes, List<ToolRow> rows) {}

    private static SlipSection tools(RouterPlan plan) {
        int changes = RouterOrder.toolChanges(plan.stops());
        String sentence =
                changes == 0
                        ? "No tool change."
                        : changes == 1 ? "1 tool change." : changes + " tool changes.";
        List<ToolRow> rows = plan.toolsInUse().stream().map(t -> row(plan, t)).toList();
        return new SlipSection(
                "Tools", List.of(new Own(TEMPLATE, "band", new ToolBand(sentence, rows))));
    }

    private static ToolRow row(RouterPlan plan, Tool tool) {
        List<RouterStop> own =
                plan.done().stream().filter(s -> s.tool().orElseThrow().equals(tool)).toList();
        double metres = own.stream().mapToDouble(RouterStop::cutLength).sum() / MM;
        double life = tool.limits().life();
        String text = Numbers.plain(metres, 1) + " m";
        return new ToolRow(
                tool.number(),
                RouterStopSlip.name(tool),
                own.size(),
                life > 0 ? text + " of " + Numbers.plain(life, 0) : text);
    }

    // ---- operations

    /** An operation that people wish. */
    public record WishRow(String id, String what) {}

    private static SlipSection operations(JobResult result, Fields<RouterChoices> fields) {
        RouterChoices choices = result.document().choices(RouterMilling.ROUTER);
        List<WishRow> rows =
                choices.operations().stream().map(w -> new WishRow(w.id(), what(w))).toList();
        return new SlipSection(
                "Operations",
                List.of(new Own(TEMPLATE, "operations", rows), fields.listed("onlyOperations")));
    }

    private static String what(Wish wish) {
        String on = "face".equals(wish.kind()) ? "the stock" : wish.features().sentence();
        return "%s, %s".formatted(wish.kind(), on);
    }
}
