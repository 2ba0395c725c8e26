package dev.oleander.web.api;

import dev.oleander.book.BookRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.api.ApiJson.DialectJson;
import dev.oleander.web.api.ApiJson.MachineJson;
import dev.oleander.web.book.Books;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.NotFoundException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Machines, their cut books and their program formats over HTTP. */
@RestController
class LibraryApi {

    private final MachineLibrary machines;
    private final Books books;
    private final Formats formats;

    LibraryApi(MachineLibrary machines, Books books, Formats formats) {
        this.books = books;
        this.machines = machines;
        this.formats = formats;
    }

    @GetMapping("/api/machines")
    List<MachineJson> machines() {
        return machines.machines().stream().map(this::machine).toList();
    }

    private MachineJson machine(Machine m) {
        return new MachineJson(
                m.id(),
                m.name(),
                m.process(),
                m.dialect(),
                new double[] {m.travel().x(), m.travel().y()},
                m.motion().rapid(),
                m.motion().acceleration(),
                m.hourlyRate(),
                books.of(m).materials());
    }

    /**
     * The rows of a machine's book: cutting data by thickness, or of wires by height with their
     * passes.
     */
    @GetMapping("/api/cut-book")
    List<? extends BookRow> cutBook(
            @RequestParam String machine, @RequestParam(required = false) String material) {
        Machine of = known(machine);
        return books.of(of).rows().stream().filter(r -> isOf(r.material(), material)).toList();
    }

    private static boolean isOf(String material, String wanted) {
        return wanted == null || material.equalsIgnoreCase(wanted.strip());
    }

    @GetMapping("/api/dialects")
    List<DialectJson> dialects() {
        return formats.all().stream()
                .map(d -> new DialectJson(d.name(), d.title(), d.version()))
                .toList();
    }

    private Machine known(String machine) {
        return machines.find(machine)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no machine \"%s\".".formatted(machine)));
    }
}
