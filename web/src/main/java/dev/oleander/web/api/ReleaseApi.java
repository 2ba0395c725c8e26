package dev.oleander.web.api;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiJson.ProgramJson;
import dev.oleander.web.api.ApiJson.ReleaseJson;
import dev.oleander.web.job.Acceptances;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseFiles;
import dev.oleander.web.release.ReleaseFiles.ProgramFile;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.web.release.ReleaseWish;
import dev.oleander.web.release.Resuming;
import dev.oleander.web.release.Verification;
import dev.oleander.web.release.Verifier;
import dev.oleander.web.seal.Hashes;
import java.net.URI;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Releases over HTTP. */
@RestController
class ReleaseApi {

    private final ReleaseService releases;
    private final Verifier verifier;
    private final Resuming resuming;
    private final JobService jobs;
    private final PlannedJobs planned;

    ReleaseApi(
            ReleaseService releases,
            Verifier verifier,
            Resuming resuming,
            JobService jobs,
            PlannedJobs planned) {
        this.planned = planned;
        this.verifier = verifier;
        this.resuming = resuming;
        this.releases = releases;
        this.jobs = jobs;
    }

    /**
     * @param parameters of the format, by name
     * @param acceptances reasons by id of a finding, with which findings to look at are accepted
     * @param stops ids of the stops of a trial; none: whole runs
     * @param runs numbers of those; none: all
     */
    record ReleaseRequest(
            Map<String, String> parameters,
            Map<String, String> acceptances,
            List<String> stops,
            List<Integer> runs) {

        ReleaseWish wish() {
            return new ReleaseWish(parameters, stops, runs);
        }
    }

    /**
     * Acceptances are kept only when the release is made.
     *
     * @throws NotYetException when the plan is not there in time; then nothing is released
     */
    @PostMapping("/api/jobs/{id}/releases")
    ResponseEntity<ReleaseJson> release(
            @PathVariable long id,
            @RequestBody(required = false) ReleaseRequest request,
            SeenStep seen,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        planned.complete(id, "releases", patience);
        ReleaseWish wish = request == null ? ReleaseWish.NONE : request.wish();
        Integer step = seen.number();
        if (request != null && request.acceptances() != null) {
            JobService.Edit accept = before -> accepted(before, request.acceptances(), who);
            releases.requirePossible(jobs.imagined(id, accept), wish);
            step = jobs.edit(id, step, "Findings accepted", accept, who).step();
        }
        Release made = releases.release(id, step, wish, who);
        return ResponseEntity.created(URI.create("/api/releases/" + made.id()))
                .body(ApiMapper.release(releases.together(made.id())));
    }

    private static JobDocument accepted(
            JobResult before, Map<String, String> acceptances, SignedIn who) {
        JobDocument document = before.document();
        for (Map.Entry<String, String> entry : acceptances.entrySet()) {
            String key = Acceptances.key(before, entry.getKey());
            if (entry.getValue() == null || entry.getValue().isBlank()) {
                throw new RefusedEditException(
                        "Finding %s needs a reason to be accepted.".formatted(entry.getKey()));
            }
            String reason = entry.getValue() + " (" + who.fullName() + ")";
            document = Acceptances.of(before, document, key, reason);
        }
        return document;
    }

    @GetMapping("/api/releases/{id}")
    ReleaseJson release(@PathVariable long id) {
        return ApiMapper.release(releases.together(id));
    }

    /** The only file of a release. */
    @GetMapping(value = "/api/releases/{id}/program", produces = MediaType.TEXT_PLAIN_VALUE)
    String program(@PathVariable long id) {
        List<ProgramFile> files = ReleaseFiles.programs(releases.together(id));
        if (files.size() > 1) {
            throw new SeveralProgramsException(files.stream().map(ReleaseApi::listed).toList());
        }
        return files.get(0).text();
    }

    /** The files of a release, in the order in which they are run. */
    @GetMapping("/api/releases/{id}/programs")
    List<ProgramJson> programs(@PathVariable long id) {
        return ReleaseFiles.programs(releases.together(id)).stream()
                .map(ReleaseApi::listed)
                .toList();
    }

    private static ProgramJson listed(ProgramFile file) {
        int lines = (int) file.text().lines().count();
        return new ProgramJson(
                file.number(),
                file.name(),
                file.run(),
                file.count(),
                lines,
                Hashes.sha256(file.bytes()));
    }

    /**
     * One of them.
     *
     * @param number from 1
     */
    @GetMapping(
            value = "/api/releases/{id}/programs/{number}",
            produces = MediaType.TEXT_PLAIN_VALUE)
    String program(@PathVariable long id, @PathVariable int number) {
        return ReleaseFiles.programs(releases.together(id)).stream()
                .filter(file -> file.number() == number)
                .findFirst()
                .map(ProgramFile::text)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Release %d has no program %d.".formatted(id, number)));
    }

    /** Where the program can be begun again. */
    @GetMapping("/api/releases/{id}/starts")
    List<Resuming.Start> starts(@PathVariable long id) {
        return resuming.starts(releases.find(id));
    }

    /** The program from a stop on. */
    @GetMapping(value = "/api/releases/{id}/program-from", produces = MediaType.TEXT_PLAIN_VALUE)
    String resume(@PathVariable long id, @RequestParam String stop) {
        return resuming.from(releases.find(id), stop);
    }

    /** The sheet for the machine. */
    @GetMapping(value = "/api/releases/{id}/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        return ReleaseFiles.sheet(releases.find(id));
    }

    /** The motions as data. */
    @GetMapping(value = "/api/releases/{id}/motion", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> motion(@PathVariable long id) {
        return ReleaseFiles.motion(releases.find(id));
    }

    /** The way of the head as a drawing. */
    @GetMapping("/api/releases/{id}/path.dxf")
    ResponseEntity<byte[]> path(@PathVariable long id) {
        return ReleaseFiles.path(releases.find(id));
    }

    /** Whether it and all revisions before it are as they were made. */
    @GetMapping("/api/releases/{id}/verify")
    Verification verify(@PathVariable long id) {
        return verifier.release(id);
    }

    /** Whether all releases of a job are as they were made. */
    @GetMapping("/api/jobs/{id}/verify")
    Verification verifyJob(@PathVariable long id) {
        jobs.view(id);
        return verifier.job(id);
    }

    /** The same for all releases of the shop; takes long where there are many. */
    @GetMapping("/api/releases/verify")
    Verifier.Shop verifyShop() {
        return verifier.shop();
    }
}
