package dev.oleander.web.release;

import dev.oleander.web.seal.SealChain;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Links releases that were made before the shop had one chain, once. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class EarlierReleases implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(EarlierReleases.class);

    private final ReleaseRepository releases;
    private final SealChain chain;
    private final Clock clock;

    EarlierReleases(ReleaseRepository releases, SealChain chain, Clock clock) {
        this.releases = releases;
        this.chain = chain;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        int taken = chain.begin(this::hashes, clock.instant());
        if (taken > 0) {
            LOG.info("{} earlier releases were linked into the chain of seals", taken);
        }
    }

    private Map<Long, String> hashes() {
        Map<Long, String> hashes = new LinkedHashMap<>();
        releases.hashes().forEach(r -> hashes.put(r.getId(), r.getSha256()));
        return hashes;
    }
}
