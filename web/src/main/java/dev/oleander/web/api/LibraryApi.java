package dev.oleander.web.api;

import dev.oleander.dialect.DialectLibrary;
import dev.oleander.machine.CutRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.api.ApiJson.DialectJson;
import dev.oleander.web.api.ApiJson.MachineJson;
import dev.oleander.web.book.CutBooks;
import dev.oleander.web.job.NotFoundException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Machines, their cut books and their program formats over HTTP. */
@RestController
class LibraryApi {

    private final MachineLibrary machines;
    private final CutBooks books;
    private final DialectLibrary dialects;

    LibraryApi(MachineLibrary machines, CutBooks books, DialectLibrary dialects) {
        this.books = books;
        this.machines = machines;
        this.dialects = dialects;
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

    @GetMapping("/api/cut-book")
    List<CutRow> cutBook(
            @RequestParam String machine, @RequestParam(required = false) String material) {
        Machine known =
                machines.find(machine)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no machine \"%s\".".formatted(machine)));
        return books.of(known).rows().stream()
                .filter(r -> material == null || r.material().equals(material))
                .toList();
    }

    @GetMapping("/api/dialects")
    List<DialectJson> dialects() {
        return dialects.all().stream()
                .map(d -> new DialectJson(d.name(), d.title(), d.version()))
                .toList();
    }
}
