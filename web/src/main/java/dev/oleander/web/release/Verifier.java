package dev.oleander.web.release;

import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.load.TooBusyException;
import dev.oleander.web.seal.SealChain;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.stereotype.Service;

/** Computes seals anew: of a release and those before it, or of the whole shop. */
@Service
public class Verifier {

    /** Faults of a shop that are told one by one. */
    private static final int MOST_FAULTS = 100;

    private static final List<String> COVERS =
            List.of(
                    "program, inputs and findings",
                    "program, inputs, findings, motion and shop sheet",
                    "program, inputs, findings, motion, shop sheet, files and trial",
                    "everything that is kept of it");

    private final ReleaseRepository releases;
    private final SealChain chain;
    private final ReentrantLock alone = new ReentrantLock();

    Verifier(ReleaseRepository releases, SealChain chain) {
        this.releases = releases;
        this.chain = chain;
    }

    /**
     * What was found of all releases of the shop.
     *
     * @param releases how many there are
     * @param faults sentences, the first hundred
     * @param more faults beyond these
     */
    public record Shop(boolean intact, long releases, List<String> faults, long more) {}

    /** How many releases the shop has. */
    public long count() {
        return releases.count();
    }

    /**
     * Computes the seals of a release and of those of its job before it.
     *
     * @throws NotFoundException when there is no such release
     */
    public Verification release(long id) {
        Release asked =
                releases.findById(id)
                        .orElseThrow(
                                () -> new NotFoundException("There is no release " + id + "."));
        List<Release> together =
                releases.findByJobIdAndRevisionOrderByRun(asked.jobId(), asked.revision());
        long last = together.stream().mapToLong(Release::id).max().orElseThrow();
        return chainOf(
                releases.findByJobIdOrderByIdDesc(asked.jobId()).stream()
                        .filter(r -> r.id() <= last)
                        .toList());
    }

    /** Those of all releases of a job. */
    public Verification job(long job) {
        return chainOf(releases.findByJobIdOrderByIdDesc(job));
    }

    private Verification chainOf(List<Release> newestFirst) {
        List<Verification.Check> checks = new ArrayList<>();
        for (int i = 0; i < newestFirst.size(); i++) {
            Release release = newestFirst.get(i);
            String before = i + 1 < newestFirst.size() ? newestFirst.get(i + 1).sha256() : null;
            checks.add(
                    new Verification.Check(
                            release.title(),
                            release.sha256(),
                            ReleaseSeal.of(release),
                            Objects.equals(before, release.previousSha256()),
                            covers(release),
                            chain.fault(release.id(), release.sha256()).orElse(null)));
        }
        return Verification.of(checks);
    }

    private static String covers(Release release) {
        int version = Math.max(1, Math.min(COVERS.size(), release.sealVersion()));
        return COVERS.get(version - 1);
    }

    /**
     * Walks along the chain of the shop, and computes the seal of every release. What is released
     * meanwhile is no fault: a release is kept together with its link.
     *
     * @throws TooBusyException when somebody else has it done at this moment
     */
    public Shop shop() {
        if (!alone.tryLock()) {
            throw new TooBusyException("All releases are being verified already. Try again later.");
        }
        try {
            return walked();
        } finally {
            alone.unlock();
        }
    }

    private Shop walked() {
        Walk walk = new Walk();
        long links = chain.walk(link -> walk.see(link.releaseId(), link.sha256()), walk::fault);
        for (Long unlinked : releases.idsWithoutLink()) {
            walk.fault(
                    "Release %d has no link in the chain of the shop's seals.".formatted(unlinked));
        }
        return new Shop(
                walk.count == 0, links, List.copyOf(walk.faults), walk.count - walk.faults.size());
    }

    private final class Walk {

        private final List<String> faults = new ArrayList<>();
        private final Map<Long, String> lastOfJob = new HashMap<>();
        private long count;

        private void fault(String sentence) {
            count++;
            if (faults.size() < MOST_FAULTS) {
                faults.add(sentence);
            }
        }

        /** One release at a time: all of them together would not fit. */
        private void see(long id, String sha256) {
            Optional<Release> found = releases.findById(id);
            if (found.isEmpty()) {
                fault("Release %d is missing.".formatted(id));
                return;
            }
            Release release = found.get();
            String name =
                    "Release %d, revision %s of job %d,"
                            .formatted(id, release.title(), release.jobId());
            String computed = ReleaseSeal.of(release);
            if (!computed.equals(release.sha256())) {
                fault(name + " is not as it was made.");
            } else if (!computed.equals(sha256)) {
                fault(name + " has another hash in the chain.");
            }
            String before = lastOfJob.put(release.jobId(), release.sha256());
            if (!Objects.equals(before, release.previousSha256())) {
                fault(name + " does not follow the revision before it.");
            }
        }
    }
}
