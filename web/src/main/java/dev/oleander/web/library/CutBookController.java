package dev.oleander.web.library;

import dev.oleander.machine.CutRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.machine.WaterjetBook;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.NotFoundException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Shows a machine with its cut book, so that every value on the bench can be looked up. */
@Controller
class CutBookController {

    private final MachineLibrary machines;

    CutBookController(MachineLibrary machines) {
        this.machines = machines;
    }

    @GetMapping("/machines/{id}")
    String cutBook(@PathVariable String id, @AuthenticationPrincipal SignedIn who, Model model) {
        Machine machine =
                machines.find(id)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no machine \"%s\".".formatted(id)));
        Map<String, List<CutRow>> byMaterial =
                machines.cutBook(machine).rows().stream()
                        .collect(
                                Collectors.groupingBy(
                                        CutRow::material, LinkedHashMap::new, Collectors.toList()));
        model.addAttribute("who", who);
        model.addAttribute("machine", machine);
        model.addAttribute("machines", machines.machines());
        model.addAttribute("book", byMaterial);
        model.addAttribute("power", powerLabel(machine.process()));
        if (machines.cutBook(machine) instanceof WaterjetBook computed) {
            model.addAttribute("waterjet", computed.waterjet());
        }
        return "cut-book";
    }

    private static String powerLabel(String process) {
        return switch (process) {
            case "plasma" -> "Current A";
            case "waterjet" -> "Abrasive g/min";
            default -> "Power W";
        };
    }
}
