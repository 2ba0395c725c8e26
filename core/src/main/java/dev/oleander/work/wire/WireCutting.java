package dev.oleander.work.wire;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Feature;
import dev.oleander.machine.Machine;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.work.Plan;
import dev.oleander.work.Starter;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.plan.WirePlanner;
import dev.oleander.work.wire.proof.WireProof;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/** Cutting with a wire. */
public final class WireCutting implements Work<WireChoices, WireChoice> {

    public static final WireCutting WIRE = new WireCutting();

    @Override
    public String word() {
        return WireProof.WORK;
    }

    @Override
    public boolean does(Machine machine) {
        return machine.work().equals(word());
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
    public Class<WireChoice> choicesOfStops() {
        return WireChoice.class;
    }

    @Override
    public String label() {
        return "the wire";
    }

    @Override
    public String starts() {
        return "threading";
    }

    @Override
    public List<Starter<WireChoice>> starters() {
        return WireStarters.ALL;
    }

    @Override
    public List<Value<WireChoices>> values() {
        return WireJobValues.ALL;
    }

    @Override
    public List<Value<WireChoice>> stopValues() {
        return WireStopValues.ALL;
    }

    @Override
    public List<Word> recipeKinds() {
        return Stream.of(WireKind.values()).map(k -> new Word(k.word(), k.plural())).toList();
    }

    @Override
    public Subject<WireChoices> subject(Task<WireChoices> task) {
        WireChoices choices = task.choices();
        return new Subject<>(choices, choices, Optional.of(task), Map.of(), Map.of(), "", "");
    }

    /** Several visits of a contour have the same values. */
    @Override
    public List<Subject<WireChoice>> subjects(Task<WireChoices> task, Plan plan, List<Stop> stops) {
        Map<String, Stop> once = new LinkedHashMap<>();
        stops.forEach(stop -> once.putIfAbsent(stop.subject(), stop));
        Map<String, WireSettings> settings = ((WireRun) plan).plan().settings();
        Map<String, Feature> features = task.reading().byId();
        return once.entrySet().stream()
                .map(
                        of ->
                                subject(
                                        task,
                                        of.getValue(),
                                        features.get(of.getValue().feature()),
                                        Optional.ofNullable(settings.get(of.getKey()))))
                .toList();
    }

    /** In formulas t is the height, w the wire, r and d are those of a round feature. */
    private static Subject<WireChoice> subject(
            Task<WireChoices> task, Stop stop, Feature feature, Optional<WireSettings> settings) {
        Map<String, Double> names = new TreeMap<>(task.names(feature));
        settings.ifPresent(known -> names.put("w", known.row().wireDiameter()));
        String kind = settings.map(known -> known.kind().word()).orElse("");
        WireChoice here = task.choices().of(stop.feature(), stop.copy());
        WireChoice set =
                here.over(task.choices().recipeFor(feature, kind)).over(task.choices().all());
        return new Subject<>(
                here,
                set,
                settings.map(known -> new WireStop(known, (WireBook) task.book())),
                settings.map(WireSettings::sources).orElse(Map.of()),
                names,
                feature.id(),
                kind);
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
    public WireChoices suited(
            WireChoices choices, Book<?> book, String material, double thickness) {
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
                        task.order().firstCopy(),
                        task.order().density());
        return new WireRun(
                task.reading(),
                new WirePlanner(of, task.choices()).plan(task.reading(), task.bed(), progress));
    }
}
