package dev.oleander.web.release;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.store.Released;
import dev.oleander.web.release.ReleaseRepository.Whole;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tells jobs which release is their newest. */
@Component
class LatestRelease implements Released.Lookup {

    /** A shop looks at few jobs at a time. */
    private static final int MOST_KNOWN = 2_000;

    private final ReleaseRepository releases;

    /** Kept, since a job is read far more often than released, and within a transaction. */
    private final Cache<Key, Origin> origins =
            Caffeine.newBuilder().maximumSize(MOST_KNOWN).build();

    private record Key(long release, int inputs) {}

    /** What a program was made of, as far as it makes it stale: fingerprints, and the format. */
    private record Origin(String document, String data, String format) {}

    LatestRelease(ReleaseRepository releases) {
        this.releases = releases;
    }

    @Override
    public Optional<Released> latest(long job) {
        List<Whole> all = releases.ofLatestStep(job);
        return all.stream().findFirst().map(newest -> released(newest, all));
    }

    /** With the runs of all programs that were made of the same document, data and format. */
    private Released released(Whole newest, List<Whole> all) {
        Origin origin = origin(newest);
        Set<Integer> runs =
                all.stream()
                        .filter(one -> origin(one).equals(origin))
                        .map(Whole::getRun)
                        .collect(Collectors.toSet());
        return new Released(
                newest.getRevision(), origin.document(), origin.data(), origin.format(), runs);
    }

    private Origin origin(Whole one) {
        return origins.get(
                new Key(one.getId(), one.getInputs().hashCode()),
                key -> {
                    JsonNode inputs = JsonMapper.shared().readTree(one.getInputs());
                    return new Origin(
                            fingerprint(inputs),
                            inputs.path("dataFingerprint").asString(""),
                            Released.format(one.getDialect(), one.getDialectVersion()));
                });
    }

    /** The one that its document has in the present form, which may say more than it did then. */
    private static String fingerprint(JsonNode inputs) {
        return DocumentJson.fingerprint(DocumentJson.read(inputs.path("document")));
    }
}
