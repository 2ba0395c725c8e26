package dev.oleander.web.estimate;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.price.Estimate;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.OrderValues;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Compares what a job costs on every machine. What is chosen lives in the address. */
@Controller
@RequestMapping("/jobs/{id}")
class EstimateController {

    private final JobService jobs;
    private final Estimates estimates;
    private final MachineLibrary machines;
    private final QuotePdf pdf;

    EstimateController(
            JobService jobs, Estimates estimates, MachineLibrary machines, QuotePdf pdf) {
        this.jobs = jobs;
        this.estimates = estimates;
        this.machines = machines;
        this.pdf = pdf;
    }

    /**
     * The page comes at once; its rows follow as machines are planned.
     *
     * @param quantity null: that of the job
     * @param material "sheet" or "area"
     */
    @GetMapping("/estimate")
    String page(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            @RequestParam(defaultValue = "area") String material,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        JobView job = jobs.view(id);
        model.addAttribute("who", who);
        model.addAttribute("job", job);
        model.addAttribute("quantity", quantity(job, quantity));
        model.addAttribute("bySheet", bySheet(material));
        return "estimate";
    }

    @GetMapping("/estimate/rows")
    String rows(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            @RequestParam(defaultValue = "area") String material,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        JobView job = jobs.view(id);
        int wanted = quantity(job, quantity);
        model.addAttribute("who", who);
        model.addAttribute("job", job);
        model.addAttribute("quantity", wanted);
        model.addAttribute("bySheet", bySheet(material));
        Estimates.Told told = estimates.ask(id, wanted, who);
        model.addAttribute("told", told);
        model.addAttribute(
                "view",
                EstimateView.of(
                        job.document(), wanted, bySheet(material), told.isDone(), told.soFar()));
        return "estimate-rows :: rows";
    }

    private static int quantity(JobView job, Integer wanted) {
        int quantity = wanted == null ? job.document().quantity() : wanted;
        if (quantity < 1 || quantity > Estimates.MOST) {
            throw new ResponseStatusException(
                    HttpStatus.BAD_REQUEST,
                    "The quantity is %d; it must lie between 1 and %d."
                            .formatted(quantity, Estimates.MOST));
        }
        return quantity;
    }

    private static boolean bySheet(String material) {
        return switch (material) {
            case "sheet" -> true;
            case "area" -> false;
            default ->
                    throw new ResponseStatusException(
                            HttpStatus.BAD_REQUEST,
                            "Material is counted by \"area\" or by \"sheet\", not by \"%s\"."
                                    .formatted(material));
        };
    }

    /** Ends the comparison; what is known stays. */
    @PostMapping("/estimate/stop")
    String stop(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            @RequestParam(defaultValue = "area") String material) {
        estimates.stop(id);
        return page(id, quantity, material);
    }

    /** Compares again after it was stopped or failed. */
    @PostMapping("/estimate/again")
    String again(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            @RequestParam(defaultValue = "area") String material) {
        estimates.resume(id);
        return page(id, quantity, material);
    }

    private static String page(long id, Integer quantity, String material) {
        return "redirect:/jobs/%d/estimate?material=%s%s"
                .formatted(
                        id,
                        bySheet(material) ? "sheet" : "area",
                        quantity == null ? "" : "&quantity=" + quantity);
    }

    /** Moves the job to a machine; cuts, proof and price follow. */
    @PostMapping("/estimate/machine")
    String choose(
            @PathVariable long id,
            @RequestParam String machine,
            @AuthenticationPrincipal SignedIn who) {
        jobs.edit(
                id,
                OrderValues.MACHINE.name(),
                before -> OrderValues.MACHINE.put(before.document(), machine),
                who);
        return "redirect:/jobs/%d/cuts".formatted(id);
    }

    /** The quote for one machine as a file. */
    @GetMapping("/quote.pdf")
    ResponseEntity<byte[]> quote(
            @PathVariable long id,
            @RequestParam String machine,
            @RequestParam(required = false) Integer quantity,
            @RequestParam(defaultValue = "area") String material,
            @AuthenticationPrincipal SignedIn who) {
        JobView job = jobs.view(id);
        int wanted = quantity(job, quantity);
        Machine wished =
                machines.find(machine)
                        .orElseThrow(() -> NotFoundException.machine(machine, machines));
        Estimate chosen = estimates.one(id, wished, wanted, who);
        if (!chosen.isPossible()) {
            throw new ResponseStatusException(HttpStatus.UNPROCESSABLE_CONTENT, chosen.cannot());
        }
        byte[] file = pdf.write(job, chosen, bySheet(material), who);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("quote-%d.pdf".formatted(id))
                                .build()
                                .toString())
                .body(file);
    }
}
