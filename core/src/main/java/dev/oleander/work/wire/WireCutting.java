package dev.oleander.work.wire;

import dev.oleander.machine.Book;
import dev.oleander.machine.Machine;
import dev.oleander.machine.WireBook;
import dev.oleander.progress.Progress;
import dev.oleander.work.Plan;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import dev.oleander.work.wire.plan.WireChoices;
import dev.oleander.work.wire.plan.WireOrder;
import dev.oleander.work.wire.plan.WirePlanner;
import dev.oleander.work.wire.plan.WireTask;
import dev.oleander.work.wire.proof.WireProof;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Cutting with a wire. */
public final class WireCutting implements Work<WireChoices> {

    public static final WireCutting WIRE = new WireCutting();

    @Override
    public String word() {
        return WireProof.WORK;
    }

    @Override
    public boolean does(Machine machine) {
        return machine.hasWire();
    }

    @Override
    public Class<WireChoices> choices() {
        return WireChoices.class;
    }

    @Override
    public WireChoices usual() {
        return WireChoices.NOTHING;
    }

    @Override
    public String wordOfData() {
        return "finish";
    }

    @Override
    public Set<String> words(WireChoices choices) {
        Set<String> words = new HashSet<>();
        words.add(choices.finish());
        choices.stops().values().forEach(c -> words.add(c.passes().finish()));
        words.remove(null);
        return words;
    }

    @Override
    public WireChoices suited(WireChoices choices, Book book, String material, double thickness) {
        WireBook data = (WireBook) book;
        String wire = data.wires().get(0);
        List<String> finishes = data.finishes(wire, material);
        data.find(wire, material, thickness, finishes.isEmpty() ? "" : finishes.get(0));
        return choices;
    }

    @Override
    public List<WireOrder> orders() {
        return Arrays.stream(WireOrder.values()).filter(o -> o != WireOrder.BY_HAND).toList();
    }

    @Override
    public WireOrder order(WireChoices choices) {
        return choices.order();
    }

    @Override
    public WireChoices forgotten(WireChoices choices) {
        return usual().withWire(choices.wire())
                .withSets(choices.clearance(), choices.sets())
                .withRound(choices.round())
                .withCalls(choices.calls());
    }

    @Override
    public WireChoices withData(WireChoices choices, String word) {
        return choices.withFinish(word.isEmpty() ? null : word);
    }

    /** Measured: about so many times that of a stop on a sheet. */
    @Override
    public int effort() {
        return 20;
    }

    @Override
    public Plan plan(Task<WireChoices> task, Optional<Plan> earlier, Progress progress) {
        WireTask of =
                new WireTask(
                        task.machine(),
                        (WireBook) task.book(),
                        task.order().material(),
                        task.order().thickness(),
                        task.order().quantity(),
                        task.order().density());
        return new WireRun(
                task.reading(),
                new WirePlanner(of, task.choices()).plan(task.reading(), task.bed(), progress));
    }
}
