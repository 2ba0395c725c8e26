package dev.oleander.web.job;

import dev.oleander.web.seal.Hashes;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Documents as JSON, always in the same order, so that equal documents have equal text. */
public final class DocumentJson {

    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();

    private DocumentJson() {}

    public static String write(JobDocument document) {
        return MAPPER.writeValueAsString(document);
    }

    public static JobDocument read(String json) {
        return MAPPER.readValue(json, JobDocument.class);
    }

    /** SHA-256 of the document, in hexadecimal. */
    public static String fingerprint(JobDocument document) {
        return Hashes.sha256(write(document));
    }
}
