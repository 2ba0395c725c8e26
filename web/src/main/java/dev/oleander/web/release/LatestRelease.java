package dev.oleander.web.release;

import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.store.Released;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tells jobs which release is their newest. */
@Component
class LatestRelease implements Released.Lookup {

    private final ReleaseRepository releases;

    LatestRelease(ReleaseRepository releases) {
        this.releases = releases;
    }

    @Override
    public Optional<Released> latest(long job) {
        return releases.findFirstByJobIdAndTrialOrderByIdDesc(job, false).map(this::released);
    }

    private Released released(Release release) {
        JsonNode inputs = JsonMapper.shared().readTree(release.inputs());
        return new Released(
                release.revision(),
                fingerprint(inputs),
                inputs.path("dataFingerprint").asString(""),
                Released.format(release.dialect(), release.dialectVersion()),
                releases.runs(release.jobId(), release.step()));
    }

    /** The one that its document has in the present form, which may say more than it did then. */
    private static String fingerprint(JsonNode inputs) {
        return DocumentJson.fingerprint(DocumentJson.read(inputs.path("document")));
    }
}
