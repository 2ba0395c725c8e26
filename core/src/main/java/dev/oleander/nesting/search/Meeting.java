package dev.oleander.nesting.search;

import dev.oleander.nesting.NestBudget;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.Phaser;
import java.util.concurrent.Semaphore;

/**
 * Worlds that search side by side. After so much work (not time) all meet, and each may see the
 * best of all: so what is found does not depend on how many threads carry them, nor on the machine.
 */
final class Meeting {

    /** Work of each world between two meetings: about a quarter of a second. */
    private static final long ROUND = 250_000;

    /** What is found between two meetings. */
    interface Listener {

        /**
         * @param best of all worlds; null while there is none
         * @return whether to go on
         */
        boolean at(Found best, int rounds, int explored, long tests, double seconds);
    }

    /** From now on what is found is only pressed together. */
    static final class PressNow extends RuntimeException {

        private static final long serialVersionUID = 1;

        PressNow() {
            super("only pressing from now on", null, false, false);
        }
    }

    private final NestBudget budget;
    private final Listener listener;
    private final Phaser phaser;
    private final Semaphore threads;
    private final List<World> worlds = new ArrayList<>();
    private final long[] next;
    private final boolean[] told;
    private final long began = System.nanoTime();
    private volatile Throwable failure;
    private Found best;
    private int rounds;
    private int explored = -1;
    private boolean ended;
    private boolean stopped;

    Meeting(Model model, NestBudget budget, Listener listener) {
        this.budget = budget;
        this.listener = listener;
        this.phaser = phaser(budget.worlds());
        this.threads = new Semaphore(budget.threads(), true);
        this.next = new long[budget.worlds()];
        this.told = new boolean[budget.worlds()];
        List<SheetSet> sets = SheetSets.of(model);
        Optional<List<Block>> blocks = Blocks.of(model);
        SplittableRandom root = new SplittableRandom(budget.seed());
        for (int w = 0; w < budget.worlds(); w++) {
            worlds.add(new World(model, sets, blocks, w, root.split(), this));
            next[w] = ROUND;
        }
    }

    private Phaser phaser(int parties) {
        return new Phaser(parties) {
            @Override
            protected boolean onAdvance(int phase, int left) {
                if (left > 0) {
                    meetOrEnd();
                }
                return left == 0;
            }
        };
    }

    /** What the listener throws ends the search for all. */
    private void meetOrEnd() {
        try {
            meet();
        } catch (RuntimeException | Error broken) {
            fail(broken);
            ended = true;
        }
    }

    private synchronized void fail(Throwable broken) {
        failure = failure == null ? broken : failure;
    }

    /** Carries all worlds until the time is over. */
    void run() {
        List<Thread> all = new ArrayList<>();
        for (World world : worlds) {
            Thread thread = new Thread(() -> carry(world), "nest-" + all.size());
            thread.setDaemon(true);
            all.add(thread);
            thread.start();
        }
        for (Thread thread : all) {
            join(thread);
        }
        if (failure instanceof Error error) {
            throw error;
        }
        if (failure instanceof RuntimeException broken) {
            throw broken;
        }
    }

    private static void join(Thread thread) {
        boolean interrupted = false;
        while (thread.isAlive()) {
            try {
                thread.join();
            } catch (InterruptedException stopped) {
                interrupted = true;
            }
        }
        if (interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    private void carry(World world) {
        threads.acquireUninterruptibly();
        try {
            world.run();
        } catch (RuntimeException | Error broken) {
            fail(broken);
        } finally {
            threads.release();
            // The others go on to their next meeting without it, and end there.
            phaser.arriveAndDeregister();
        }
    }

    /** Best of all worlds at the last meeting; null: none yet. */
    Found best() {
        return best;
    }

    /** What each world has found at best; only the best of all when somebody waits for the end. */
    List<Found> found() {
        return stopped && best != null
                ? List.of(best)
                : worlds.stream().map(World::best).filter(Objects::nonNull).toList();
    }

    int rounds() {
        return rounds;
    }

    /** Pairs that all worlds have looked at. */
    long tests() {
        return worlds.stream().mapToLong(World::tests).sum();
    }

    int explored() {
        return explored < 0 ? rounds : explored;
    }

    /**
     * @throws Pulse.Ended when the time is over
     * @throws PressNow once, when nothing new is to be looked for
     */
    void pulse(World world) {
        int w = worlds.indexOf(world);
        if (world.work() < next[w]) {
            return;
        }
        next[w] += ROUND;
        threads.release();
        phaser.arriveAndAwaitAdvance();
        threads.acquireUninterruptibly();
        if (ended) {
            throw new Pulse.Ended();
        }
        if (explored >= 0 && !told[w]) {
            told[w] = true;
            throw new PressNow();
        }
    }

    /** While all worlds wait. */
    private void meet() {
        rounds++;
        for (World world : worlds) {
            Found found = world.best();
            if (found != null && (best == null || found.score().isBetterThan(best.score()))) {
                best = found;
            }
        }
        double seconds = (System.nanoTime() - began) / 1e9;
        boolean last = budget.rounds().map(r -> rounds >= r).orElse(seconds >= budget.seconds());
        boolean switches =
                budget.explored()
                        .map(e -> rounds >= e)
                        .orElse(seconds >= NestBudget.EXPLORE * budget.seconds());
        if (switches && explored < 0) {
            explored = rounds;
        }
        boolean goOn = listener.at(best, rounds, explored(), tests(), seconds);
        stopped = !goOn;
        ended = last || stopped || failure != null;
    }
}
