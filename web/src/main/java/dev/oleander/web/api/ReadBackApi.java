package dev.oleander.web.api;

import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.ReadBack;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.TimeModel;
import dev.oleander.web.api.ApiJson.ReadBackJson;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.load.WorkingMemory;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reads programs from outside over HTTP. */
@RestController
class ReadBackApi {

    private final MachineLibrary machines;
    private final Formats formats;
    private final WorkingMemory memory;

    ReadBackApi(MachineLibrary machines, Formats formats, WorkingMemory memory) {
        this.machines = machines;
        this.formats = formats;
        this.memory = memory;
    }

    /**
     * Reads a program as its controller would; nothing is kept.
     *
     * @param machine whose times are told; left out: one that uses the format, or the first
     */
    @PostMapping(value = "/api/read-back", consumes = MediaType.TEXT_PLAIN_VALUE)
    ReadBackJson readBack(
            @RequestParam String dialect,
            @RequestParam(required = false) String machine,
            InputStream body)
            throws IOException {
        Dialect format =
                formats.find(dialect)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no format \"%s\".".formatted(dialect)));
        Machine timed = machine == null ? using(format) : known(machine);
        // all of it has come before any is read: a slow line holds no memory
        Path file = Files.createTempFile("program", ".txt");
        try {
            Files.copy(body, file, StandardCopyOption.REPLACE_EXISTING);
            return memory.within(Files.size(file), () -> read(file, format, timed));
        } finally {
            Files.delete(file);
        }
    }

    private static ReadBackJson read(Path file, Dialect format, Machine timed) {
        try (Reader text = Files.newBufferedReader(file, StandardCharsets.ISO_8859_1)) {
            ReadBack read = new DialectReader(format).read(text);
            return ApiMapper.readBack(read, new TimeModel(timed).time(read.program()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private Machine using(Dialect format) {
        return machines.machines().stream()
                .filter(m -> m.dialect().equals(format.name()))
                .findFirst()
                .orElse(machines.machines().get(0));
    }

    private Machine known(String machine) {
        return machines.find(machine)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no machine \"%s\".".formatted(machine)));
    }
}
