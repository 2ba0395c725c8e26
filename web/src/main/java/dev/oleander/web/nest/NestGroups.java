package dev.oleander.web.nest;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.JobRepository;
import dev.oleander.web.job.store.Stage;
import dev.oleander.work.Kinds;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Component;

/** Jobs that could lie on the same sheets, by machine, material and thickness. */
@Component
public class NestGroups {

    private static final int MOST = 500;

    private final JobRepository repository;
    private final MachineLibrary machines;

    NestGroups(JobRepository repository, MachineLibrary machines) {
        this.repository = repository;
        this.machines = machines;
    }

    /**
     * One of them.
     *
     * @param ready whether nothing is left to decide on its Shape
     */
    public record Waiting(long id, String name, int quantity, String stage, boolean ready) {}

    /**
     * Those of one machine, material and thickness.
     *
     * @param thickness mm
     */
    public record Group(
            String machine,
            String machineName,
            String material,
            String thickness,
            List<Waiting> jobs) {}

    private record Key(String machine, String material, double thickness) {}

    /** Groups of the jobs that were changed last, those with most jobs first. */
    public List<Group> all() {
        Map<Key, List<Waiting>> groups = new LinkedHashMap<>();
        for (Job job : repository.search("", "", null, PageRequest.of(0, MOST)).getContent()) {
            boolean nests =
                    machines.find(job.machine()).filter(m -> Kinds.of(m).nests()).isPresent();
            if (nests && !job.isNested()) {
                groups.computeIfAbsent(
                                new Key(job.machine(), job.material(), job.thickness()),
                                key -> new ArrayList<>())
                        .add(
                                new Waiting(
                                        job.id(),
                                        job.name(),
                                        job.quantity(),
                                        job.stage().label(),
                                        job.stage() != Stage.SHAPE));
            }
        }
        return groups.entrySet().stream()
                .map(e -> group(e.getKey(), e.getValue()))
                .sorted((a, b) -> b.jobs().size() - a.jobs().size())
                .toList();
    }

    private Group group(Key key, List<Waiting> jobs) {
        return new Group(
                key.machine(),
                machines.find(key.machine()).map(Machine::name).orElse(key.machine()),
                key.material(),
                Numbers.plain(key.thickness(), 3),
                jobs);
    }
}
