package dev.oleander.web.product;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.geometry.Box;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.seal.Hashes;
import dev.oleander.work.PanelJob;
import dev.oleander.work.Work;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a clamping of a panel becomes as a job.
 *
 * @param drawing as DXF
 * @param decided what is decided of the work
 * @param pods on which the panel lies; none: it lies flat
 * @param told what should be looked at in how it lies
 * @param hash of all that it is made of
 */
record PanelProgram(
        byte[] drawing,
        JobDocument.Order order,
        UnaryOperator<JobDocument> decided,
        List<PanelJob.Made> made,
        List<PanelJob.Unmade> without,
        List<Box> pods,
        List<String> told,
        String hash) {

    private static final int LONGEST = 150;

    /** Characters that fit the first line of a program, which names the face and the corner. */
    private static final int LINE = 62;

    /**
     * @throws RefusedEditException when the book has no data for the material
     */
    static PanelProgram of(
            ProductState state,
            Panel panel,
            int number,
            Machine machine,
            Work<?, ?> kind,
            Book<?> book) {
        return of(state, panel, number, machine, book, kind);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> PanelProgram of(
            ProductState state,
            Panel panel,
            int number,
            Machine machine,
            Book<?> book,
            Work<C, S> kind) {
        PanelJob<C> job = job(state, panel, number, machine, kind, book);
        JobDocument.Order order =
                new JobDocument.Order(
                        name(state, panel, number),
                        machine.id(),
                        ProductMaterials.called(state, panel.material(), book)
                                .orElseThrow(() -> ProductMaterials.unknown(panel, machine, book)),
                        Typed.of(panel.size().thickness()),
                        clamping(state, panel, number).onBoard() ? 1 : state.countWithTwins(panel));
        String dxf = DxfWriter.write(job.drawing());
        UnaryOperator<JobDocument> decided =
                document -> {
                    JobDocument with = document.with(kind, job.choices());
                    for (String layer : job.marks()) {
                        with = with.reshaped(s -> s.withLayer(layer, Purpose.MARK));
                    }
                    return with;
                };
        String all = dxf + JsonMapper.shared().writeValueAsString(job.choices()) + order;
        return new PanelProgram(
                dxf.getBytes(StandardCharsets.UTF_8),
                order,
                decided,
                job.made(),
                job.without(),
                job.pods(),
                job.told(),
                Hashes.sha256(all));
    }

    /** How a clamping is made, by the rules. */
    static <C extends Choices<C, S>, S extends Choice<S>> PanelJob<C> job(
            ProductState state,
            Panel panel,
            int number,
            Machine machine,
            Work<C, S> kind,
            Book<?> book) {
        List<Clamping> clampings = state.decision(panel).clampings();
        ProductDocument document = state.document();
        // what was cut out of a board has its form
        boolean last = number == clampings.size() && !clampings.get(0).onBoard();
        PanelJob.Wished wished =
                new PanelJob.Wished(
                        panel,
                        clampings.get(number - 1),
                        ProductMaterials.called(state, panel.material(), book)
                                .orElse(panel.material()),
                        last,
                        document.preMilling(),
                        document.trim(),
                        document.pods());
        return kind.panelJob(wished, machine, book).orElseThrow();
    }

    private static Clamping clamping(ProductState state, Panel panel, int number) {
        return state.decision(panel).clampings().get(number - 1);
    }

    private static String name(ProductState state, Panel panel, int number) {
        Clamping clamping = clamping(state, panel, number);
        String tail = "%s: %s".formatted(panel.name(), ProductView.lies(clamping));
        String whole = state.product().name() + ", ";
        int room = Math.max(0, LINE - tail.length());
        String name = (whole.length() <= room ? whole : whole.substring(0, room)) + tail;
        return name.length() <= LONGEST ? name : name.substring(0, LONGEST);
    }

    /** Of the drawing. */
    String fileName() {
        return order.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "_") + ".dxf";
    }
}
