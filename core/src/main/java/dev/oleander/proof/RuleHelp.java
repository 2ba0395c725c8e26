package dev.oleander.proof;

import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * What people can read about a rule.
 *
 * @param looks what it looks at, and what it finds
 * @param why what goes wrong at the machine
 * @param remedy what a person can do
 * @param example with figures
 */
public record RuleHelp(String looks, String why, String remedy, String example) {

    private static final Map<String, RuleHelp> ALL = load();

    private static Map<String, RuleHelp> load() {
        YAMLMapper mapper =
                YAMLMapper.builder()
                        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                        .build();
        InputStream in = RuleHelp.class.getResourceAsStream("rules.yaml");
        return Map.copyOf(mapper.readValue(in, new TypeReference<Map<String, RuleHelp>>() {}));
    }

    /** Of a rule, by its id. */
    public static Optional<RuleHelp> of(String rule) {
        return Optional.ofNullable(ALL.get(rule));
    }

    /** Ids of all rules that are told of. */
    public static Set<String> ids() {
        return ALL.keySet();
    }
}
