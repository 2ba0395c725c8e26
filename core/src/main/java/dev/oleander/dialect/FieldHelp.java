package dev.oleander.dialect;

import java.io.InputStream;
import java.util.List;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * What a field of a description means.
 *
 * @param field its name with those above it: words.coordinate
 * @param type what can stand there
 * @param usual what holds when it is left out; empty: it must be there
 * @param meaning a sentence
 */
public record FieldHelp(String field, String type, String usual, String meaning) {

    private static final List<FieldHelp> ALL = load();

    private static List<FieldHelp> load() {
        YAMLMapper mapper =
                YAMLMapper.builder()
                        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                        .build();
        InputStream in = FieldHelp.class.getResourceAsStream("fields.yaml");
        return List.copyOf(mapper.readValue(in, new TypeReference<List<FieldHelp>>() {}));
    }

    /** Of every field there is, in the order in which descriptions have them. */
    public static List<FieldHelp> all() {
        return ALL;
    }
}
