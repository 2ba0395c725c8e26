package dev.oleander.web.api;

import dev.oleander.proof.Finding;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiJson.ReleaseJson;
import dev.oleander.web.job.JobDocument;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.RefusedEditException;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseFiles;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.web.release.Verification;
import java.net.URI;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Releases over HTTP. */
@RestController
class ReleaseApi {

    private final ReleaseService releases;
    private final JobService jobs;

    ReleaseApi(ReleaseService releases, JobService jobs) {
        this.releases = releases;
        this.jobs = jobs;
    }

    /** Reasons by id of a finding, with which findings to look at are accepted. */
    record ReleaseRequest(Map<String, String> acceptances) {}

    /** Acceptances are kept only when the release is made. */
    @PostMapping("/api/jobs/{id}/releases")
    @Transactional
    public ResponseEntity<ReleaseJson> release(
            @PathVariable long id,
            @RequestBody(required = false) ReleaseRequest request,
            @AuthenticationPrincipal SignedIn who) {
        if (request != null && request.acceptances() != null) {
            jobs.edit(
                    id,
                    "Findings accepted",
                    before -> accepted(before, request.acceptances(), who),
                    who);
        }
        Release made = releases.release(id, who);
        return ResponseEntity.created(URI.create("/api/releases/" + made.id()))
                .body(ApiMapper.release(made));
    }

    private static JobDocument accepted(
            JobResult before, Map<String, String> acceptances, SignedIn who) {
        JobDocument document = before.document();
        for (Map.Entry<String, String> entry : acceptances.entrySet()) {
            Finding finding =
                    before.proof()
                            .finding(entry.getKey())
                            .orElseThrow(
                                    () ->
                                            new RefusedEditException(
                                                    "The proof has no finding \"%s\"."
                                                            .formatted(entry.getKey())));
            if (entry.getValue() == null || entry.getValue().isBlank()) {
                throw new RefusedEditException(
                        "Finding %s needs a reason to be accepted.".formatted(entry.getKey()));
            }
            document =
                    document.withAcceptance(
                            finding.key(), entry.getValue() + " (" + who.fullName() + ")");
        }
        return document;
    }

    @GetMapping("/api/releases/{id}")
    ReleaseJson release(@PathVariable long id) {
        return ApiMapper.release(releases.find(id));
    }

    @GetMapping(value = "/api/releases/{id}/program", produces = MediaType.TEXT_PLAIN_VALUE)
    String program(@PathVariable long id) {
        return releases.find(id).program();
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
        return releases.verify(id);
    }
}
