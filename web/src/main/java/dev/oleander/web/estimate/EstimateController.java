package dev.oleander.web.estimate;

import dev.oleander.price.Estimate;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.web.job.OrderField;
import java.util.List;
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

    private static final int MOST = 100_000;

    private final JobService jobs;
    private final EstimateService estimates;
    private final QuotePdf pdf;

    EstimateController(JobService jobs, EstimateService estimates, QuotePdf pdf) {
        this.jobs = jobs;
        this.estimates = estimates;
        this.pdf = pdf;
    }

    /**
     * The page comes at once; its rows follow when every machine is planned.
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
        model.addAttribute(
                "view",
                EstimateView.of(
                        job.document(),
                        wanted,
                        bySheet(material),
                        estimates.all(job.document(), wanted)));
        return "estimate-rows :: rows";
    }

    private static int quantity(JobView job, Integer wanted) {
        int quantity = wanted == null ? job.document().quantity() : wanted;
        if (quantity < 1 || quantity > MOST) {
            throw new ResponseStatusException(
                    HttpStatus.BAD_REQUEST,
                    "The quantity is %d; it must lie between 1 and %d.".formatted(quantity, MOST));
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

    /** Moves the job to a machine; cuts, proof and price follow. */
    @PostMapping("/estimate/machine")
    String choose(
            @PathVariable long id,
            @RequestParam String machine,
            @AuthenticationPrincipal SignedIn who) {
        jobs.edit(
                id,
                OrderField.MACHINE.label(),
                before -> OrderField.MACHINE.set(before.document(), machine),
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
        List<Estimate> all = estimates.all(job.document(), wanted);
        Estimate chosen =
                all.stream()
                        .filter(e -> e.id().equals(machine) && !machine.isEmpty())
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no machine \"%s\".".formatted(machine)));
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
