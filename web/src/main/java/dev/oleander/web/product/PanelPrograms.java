package dev.oleander.web.product;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.book.Book;
import dev.oleander.book.CutDataException;
import dev.oleander.geometry.Box;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.panel.Panel;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.work.Kinds;
import dev.oleander.work.PanelJob;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What the clampings of panels become as jobs; what a step becomes is worked out once. */
@Component
class PanelPrograms {

    private final MachineLibrary machines;
    private final Books books;

    PanelPrograms(MachineLibrary machines, Books books) {
        this.machines = machines;
        this.books = books;
    }

    private record Key(long product, int step, long books, String panel) {}

    /** What a step becomes does not change while the books do not. */
    private final Cache<Key, List<PanelProgram>> known =
            Caffeine.newBuilder().maximumSize(2_000).build();

    /** Of each clamping; none where nothing is machined. */
    List<PanelProgram> programs(ProductState state, Panel panel) {
        Key key = new Key(state.id(), state.step(), books.version(), panel.id());
        return known.get(key, k -> made(state, panel));
    }

    private List<PanelProgram> made(ProductState state, Panel panel) {
        Machine machine = machines.find(state.document().machine()).orElseThrow();
        Work<?, ?> kind = Kinds.of(machine);
        Book<?> book = books.of(machine);
        List<PanelProgram> programs = new ArrayList<>();
        for (int number = 1; number <= state.decision(panel).clampings().size(); number++) {
            programs.add(PanelProgram.of(state, panel, number, machine, kind, book));
        }
        return programs;
    }

    /**
     * What a panel lies on in a clamping.
     *
     * @param pods none: it lies flat
     * @param told what should be looked at; sentences
     */
    record Lies(List<Box> pods, List<String> told) {}

    /** In each clamping; none where nothing is known of them. */
    List<Lies> lies(ProductState state, Panel panel) {
        try {
            return programs(state, panel).stream().map(p -> new Lies(p.pods(), p.told())).toList();
        } catch (RefusedEditException | PlanException | CutDataException impossible) {
            return List.of();
        }
    }

    /** By which rules the features of a panel are made; none where they cannot be. */
    List<PanelJob.Made> operations(ProductState state, Panel panel) {
        try {
            return programs(state, panel).stream().flatMap(p -> p.made().stream()).toList();
        } catch (RefusedEditException | PlanException | CutDataException impossible) {
            return List.of();
        }
    }
}
