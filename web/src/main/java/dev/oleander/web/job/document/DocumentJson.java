package dev.oleander.web.job.document;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.web.seal.Hashes;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents as JSON, always in the same order, so that equal documents have equal text. */
public final class DocumentJson {

    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();

    /** Characters of the documents that are kept as they were read: a small share of memory. */
    private static final long KEPT = Math.min(64_000_000, Runtime.getRuntime().maxMemory() / 64);

    /** The same step is read by every request of a job; documents never change. */
    private static final Cache<String, JobDocument> READ =
            Caffeine.newBuilder()
                    .maximumWeight(KEPT)
                    .weigher((String json, JobDocument document) -> json.length())
                    .build();

    private DocumentJson() {}

    public static String write(JobDocument document) {
        return MAPPER.writeValueAsString(document);
    }

    /** A document of this version or of an earlier one. */
    public static JobDocument read(String json) {
        return READ.get(json, unknown -> read(MAPPER.readTree(unknown)));
    }

    /** See {@link #read(String)}. */
    public static JobDocument read(JsonNode json) {
        ObjectNode document = EarlierDocuments.presentForm((ObjectNode) json);
        Map<String, Choices<?, ?>> work = new HashMap<>();
        for (Map.Entry<String, JsonNode> of : document.path("work").properties()) {
            Work<?, ?> kind = Kinds.find(of.getKey()).orElseThrow();
            work.put(kind.word(), MAPPER.treeToValue(of.getValue(), kind.choices()));
        }
        JsonNode nest = document.path("nest");
        return new JobDocument(
                MAPPER.treeToValue(document.get("order"), JobDocument.Order.class),
                MAPPER.treeToValue(document.get("shape"), ShapeChoices.class),
                MAPPER.treeToValue(document.get("sheet"), SheetChoices.class),
                MAPPER.convertValue(
                        document.path("acceptances"), new TypeReference<Map<String, String>>() {}),
                work,
                nest.isObject() ? Optional.of(nest((ObjectNode) nest)) : Optional.empty());
    }

    private static NestDocument nest(ObjectNode json) {
        Map<String, NestDocument.Source> sources = new HashMap<>();
        for (Map.Entry<String, JsonNode> of : json.path("sources").properties()) {
            JsonNode source = of.getValue();
            sources.put(
                    of.getKey(),
                    new NestDocument.Source(
                            source.path("job").asLong(),
                            source.path("step").asInt(),
                            read(source.path("document"))));
        }
        return new NestDocument(
                sources, MAPPER.treeToValue(json.get("choices"), NestChoices.class));
    }

    /** SHA-256 of the document, in hexadecimal. */
    public static String fingerprint(JobDocument document) {
        return Hashes.sha256(write(document));
    }
}
