package dev.oleander.web.job.document;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import java.util.stream.Collectors;

/** Something that was asked for does not exist; the message names it. */
public final class NotFoundException extends RuntimeException {

    public NotFoundException(String message) {
        super(message);
    }

    public static NotFoundException job(long id) {
        return new NotFoundException("There is no job %d.".formatted(id));
    }

    public static NotFoundException stop(String id) {
        return new NotFoundException("The run has no stop \"%s\".".formatted(id));
    }

    public static NotFoundException machine(String name, MachineLibrary machines) {
        String known =
                machines.machines().stream().map(Machine::name).collect(Collectors.joining(", "));
        return new NotFoundException(
                "There is no machine \"%s\"; there is %s.".formatted(name, known));
    }
}
