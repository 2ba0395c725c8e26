package dev.oleander.bench;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.work.Task;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** A sheet of 2.44 x 1.22 m that a router makes about 100,000 moves on. */
final class RoutedSheet {

    /** mm */
    static final Box STOCK = Box.of(Point.ORIGIN, new Point(2440, 1220));

    private static final int BOARDS = 40;
    private static final double THICKNESS = 18;

    private static final String WISHES =
            """
            [{"id": "recess", "on": {"layer": "RECESS"}, "kind": "pocket", "tool": 3, "depth": "12",
              "stepDown": "2", "stepOver": "0.4", "islands": {"layer": "KEEP"}},
             {"id": "holes", "on": {"layer": "HOLE"}, "kind": "drill", "depth": "through"},
             {"id": "outline", "on": {"layer": "OUTLINE"}, "kind": "contour", "tool": 3,
              "depth": "through", "side": "outside",
              "tabs": {"count": "4", "width": "8", "height": "5"}}]
            """;

    private static final MachineLibrary MACHINES = MachineLibrary.shipped();

    private RoutedSheet() {}

    static RouterRun planned() {
        Machine machine = MACHINES.find("hazel").orElseThrow();
        List<Wish> wishes = JsonMapper.shared().readValue(WISHES, new TypeReference<>() {});
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(wishes, true)
                        .withBlock(new Block(STOCK.width(), STOCK.height(), null, null, null));
        Task<RouterChoices> task =
                new Task<>(
                        machine,
                        MACHINES.book(machine),
                        RouterShapes.boards(BOARDS),
                        new Task.Order("birch plywood", THICKNESS, 1, 700),
                        SheetChoices.usual(),
                        choices);
        RouterRun run =
                (RouterRun) RouterMilling.ROUTER.plan(task, Optional.empty(), Progress.NONE);
        if (!run.run().refused().isEmpty()) {
            throw new IllegalStateException("refused: " + run.run().refused());
        }
        return run;
    }

    /** All rules over a run that nobody has asked anything before. */
    static Proof proved(RouterRun run) {
        Proof proof = Prover.withAllRules().prove(run.proofInput(), Map.of());
        proof.findings().stream()
                .filter(f -> f.severity() == Severity.MUST_FIX)
                .findFirst()
                .ifPresent(
                        f -> {
                            throw new IllegalStateException("found: " + f.sentence());
                        });
        return proof;
    }

    /** The least memory in which it is planned and proved, MB in steps. */
    static double leastMemory(int step, int most) throws Exception {
        for (int megabytes = step; megabytes <= most; megabytes += step) {
            if (OtherMachine.isEnough(1024L * megabytes, Alone.class)) {
                return megabytes;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    /** Plans and proves it and ends; fails when the memory is not enough. */
    static final class Alone {

        private Alone() {}

        public static void main(String[] arguments) {
            proved(planned());
        }
    }
}
