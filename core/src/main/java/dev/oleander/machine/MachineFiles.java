package dev.oleander.machine;

import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** How files of machines are read: what nobody knows in them is a mistake. */
public final class MachineFiles {

    public static final YAMLMapper MAPPER =
            YAMLMapper.builder()
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                    .build();

    private MachineFiles() {}
}
