package dev.oleander.web.seal;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** One chain over all releases of the shop. */
@Service
public class SealChain {

    private static final Logger LOG = LoggerFactory.getLogger(SealChain.class);

    private final SealLinkRepository links;
    private final SealKeys keys;
    private final ChainHead head;

    SealChain(SealLinkRepository links, SealKeys keys, ChainHead head) {
        this.links = links;
        this.keys = keys;
        this.head = head;
    }

    /** Adds a release in the transaction that keeps it; the head is noted when that is done. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void add(long release, String sha256, Instant at) {
        links.takeTurn();
        Optional<SealLink> last = links.findFirstByOrderByPlaceDesc();
        SealLink link =
                links.saveAndFlush(
                        new SealLink(
                                last.map(SealLink::place).orElse(0L) + 1,
                                release,
                                sha256,
                                keys.present(),
                                last.map(SealLink::code).orElse(null),
                                at.truncatedTo(ChronoUnit.MICROS)));
        TransactionSynchronizationManager.registerSynchronization(
                new TransactionSynchronization() {
                    @Override
                    public void afterCommit() {
                        note(link);
                    }
                });
    }

    /** The release is kept by now, whatever becomes of the file; the next one notes it as well. */
    private void note(SealLink link) {
        try {
            head.note(new ChainHead.Head(link.place(), link.code()));
        } catch (RuntimeException unwritable) {
            LOG.error("The head of the chain of seals could not be noted", unwritable);
        }
    }

    /**
     * Takes over what was kept before there was a chain. Once: afterwards a release without a link
     * is a fault.
     *
     * @param earlier releases with their hashes, the earliest first
     * @return how many were taken over
     */
    @Transactional
    public int begin(Supplier<Map<Long, String>> earlier, Instant at) {
        links.takeTurn();
        if (links.findFirstByOrderByPlaceDesc().isPresent() || head.read().isPresent()) {
            return 0;
        }
        Map<Long, String> releases = earlier.get();
        releases.forEach((release, sha256) -> add(release, sha256, at));
        return releases.size();
    }

    /**
     * What is wrong with the link of a release; empty when nothing is. Says nothing about the
     * release itself.
     */
    public Optional<String> fault(long release, String sha256) {
        return links.findByReleaseId(release)
                .map(
                        link -> {
                            String before =
                                    links.findById(link.place() - 1)
                                            .map(SealLink::code)
                                            .orElse(null);
                            return fault(link, before)
                                    .or(
                                            () ->
                                                    Objects.equals(link.sha256(), sha256)
                                                            ? Optional.empty()
                                                            : Optional.of(otherHash(link)));
                        })
                .orElseGet(() -> Optional.of("It has no link in the chain of the shop's seals."));
    }

    private Optional<String> fault(SealLink link, String before) {
        Optional<SealKey> key = keys.named(link.keyName());
        if (key.isEmpty()) {
            return Optional.of(
                    "Link %d was made with the key %s, which is not kept here."
                            .formatted(link.place(), link.keyName()));
        }
        return link.isCodedWith(key.get(), before)
                ? Optional.empty()
                : Optional.of(
                        "Link %d of the chain is not as it was made.".formatted(link.place()));
    }

    private static String otherHash(SealLink link) {
        return "Link %d of the chain names another hash of the release.".formatted(link.place());
    }

    /**
     * Walks along the whole chain.
     *
     * @param each takes every link
     * @param faults takes what is wrong, as sentences
     * @return number of links
     */
    public long walk(Consumer<SealLink> each, Consumer<String> faults) {
        Optional<ChainHead.Head> noted = head.read();
        String codeAtHead = null;
        String before = null;
        long place = 0;
        long count = 0;
        List<SealLink> page;
        do {
            page = links.findTop200ByPlaceGreaterThanOrderByPlace(place);
            for (SealLink link : page) {
                requireNext(place, link, faults);
                fault(link, before).ifPresent(faults);
                each.accept(link);
                place = link.place();
                before = link.code();
                count++;
                if (noted.isPresent() && noted.get().place() == place) {
                    codeAtHead = before;
                }
            }
        } while (!page.isEmpty());
        headFault(noted, place, codeAtHead).ifPresent(faults);
        return count;
    }

    private static void requireNext(long place, SealLink link, Consumer<String> faults) {
        if (link.place() != place + 1) {
            faults.accept(
                    link.place() == place + 2
                            ? "Link %d is missing in the chain.".formatted(place + 1)
                            : "Links %d to %d are missing in the chain."
                                    .formatted(place + 1, link.place() - 1));
        }
    }

    private static Optional<String> headFault(
            Optional<ChainHead.Head> noted, long last, String codeAtHead) {
        if (noted.isEmpty()) {
            return last == 0
                    ? Optional.empty()
                    : Optional.of(
                            "The head of the chain, noted outside of the database, is missing.");
        }
        long place = noted.get().place();
        if (place > last) {
            return Optional.of(
                    "The chain ends at link %d; link %d was noted outside of the database: the newest releases are missing."
                            .formatted(last, place));
        }
        return noted.get().code().equals(codeAtHead)
                ? Optional.empty()
                : Optional.of(
                        "Link %d is not the one that was noted outside of the database."
                                .formatted(place));
    }
}
