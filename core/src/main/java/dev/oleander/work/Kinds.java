package dev.oleander.work;

import dev.oleander.machine.Machine;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** All kinds of work there are. */
public final class Kinds {

    private static final List<Work<?, ?>> ALL = loaded();

    private Kinds() {}

    private static List<Work<?, ?>> loaded() {
        return ServiceLoader.load(Work.class).stream()
                .map(ServiceLoader.Provider::get)
                .<Work<?, ?>>map(work -> work)
                .sorted(Comparator.comparing(Work::word))
                .toList();
    }

    /** In the order of their words. */
    public static List<Work<?, ?>> all() {
        return ALL;
    }

    public static Optional<Work<?, ?>> find(String word) {
        return ALL.stream().filter(w -> w.word().equals(word)).findFirst();
    }

    /**
     * What a machine does.
     *
     * @throws IllegalStateException when no kind of work does; then it should not have been loaded
     */
    public static Work<?, ?> of(Machine machine) {
        return ALL.stream()
                .filter(w -> w.does(machine))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalStateException("nothing is known of " + machine.id()));
    }
}
