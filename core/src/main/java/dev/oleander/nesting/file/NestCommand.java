package dev.oleander.nesting.file;

import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestFault;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.search.Nester;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Nests a file from the command line. */
public final class NestCommand {

    private static final String USAGE =
            "usage: nest CASE [--seconds S] [--rounds N [--explored M]] [--threads T] [--worlds W] [--seed N] [--out RESULT]";

    private static final Set<String> OPTIONS =
            Set.of("seconds", "rounds", "explored", "threads", "worlds", "seed", "out");

    private final PrintStream tell;

    private NestCommand(PrintStream tell) {
        this.tell = tell;
    }

    public static void main(String[] args) {
        System.exit(new NestCommand(System.err).run(args));
    }

    /**
     * @return 0: everything is placed; 1: parts are missing; 2: no legal nest; 3: not readable
     */
    private int run(String[] args) {
        try {
            Map<String, String> options = new HashMap<>();
            Path file = parsed(args, options);
            NestTask task = NestFile.task(Files.readString(file));
            return nest(task, name(file), options);
        } catch (NestException | IOException | NumberFormatException wrong) {
            tell.println(wrong.getMessage());
            return 3;
        }
    }

    private static Path parsed(String[] args, Map<String, String> options) {
        Path file = null;
        for (int i = 0; i < args.length; i++) {
            if (!args[i].startsWith("--")) {
                file = Path.of(args[i]);
            } else if (OPTIONS.contains(args[i].substring(2)) && i + 1 < args.length) {
                options.put(args[i].substring(2), args[++i]);
            } else {
                throw new NestException("%s: %s".formatted(args[i], USAGE));
            }
        }
        if (file == null) {
            throw new NestException(USAGE);
        }
        return file;
    }

    private static String name(Path file) {
        return file.getFileName().toString().replaceFirst("\\.case\\.json$|\\.json$", "");
    }

    private int nest(NestTask task, String name, Map<String, String> options) throws IOException {
        Optional<Integer> rounds = Optional.ofNullable(options.get("rounds")).map(Integer::valueOf);
        NestBudget budget =
                new NestBudget(
                        rounds.isPresent()
                                ? NestBudget.LONGEST
                                : Double.parseDouble(options.getOrDefault("seconds", "60")),
                        rounds,
                        rounds.map(
                                r ->
                                        Optional.ofNullable(options.get("explored"))
                                                .map(Integer::valueOf)
                                                .orElse((int) (NestBudget.EXPLORE * r))),
                        Long.parseLong(options.getOrDefault("seed", "1")),
                        Integer.parseInt(options.getOrDefault("worlds", "2")),
                        Integer.parseInt(options.getOrDefault("threads", "2")));
        long began = System.nanoTime();
        Nest nest = Nester.nest(task, budget, new Told());
        double seconds = (System.nanoTime() - began) / 1e9;
        List<NestFault> faults = NestCheck.faults(task, nest.sheets());
        faults.forEach(f -> tell.println(f.sentence()));
        if (options.containsKey("out")) {
            String result = NestFile.result(nest, name, seconds, budget.seed());
            Files.writeString(Path.of(options.get("out")), result);
        }
        tell.printf(Locale.ROOT, "%s: %s, %.1f s%n", name, nest.score(), seconds);
        return !faults.isEmpty() ? 2 : nest.score().isComplete() ? 0 : 1;
    }

    /** Prints what is better than before. */
    private final class Told implements NestProgress {

        private Nest before;

        @Override
        public boolean at(Nest best, double seconds) {
            if (!best.sheets().isEmpty()
                    && (before == null || best.score().isBetterThan(before.score()))) {
                tell.printf(Locale.ROOT, "%6.1f s: %s%n", seconds, best.score());
                before = best;
            }
            return true;
        }
    }
}
