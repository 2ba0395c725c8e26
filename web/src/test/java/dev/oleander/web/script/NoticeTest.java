package dev.oleander.web.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The build says what ships, and NOTICE says under which licence. */
class NoticeTest {

    private static JsonNode bill() throws IOException {
        try (InputStream in =
                NoticeTest.class.getResourceAsStream("/META-INF/sbom/application.cdx.json")) {
            // the plugin that writes it does nothing in a build without a network
            assumeThat(in).as("bill of materials").isNotNull();
            return JsonMapper.shared().readTree(in);
        }
    }

    @Test
    void everythingThatShipsStandsInTheNoticeWithALicence() throws IOException {
        List<String> notice = Files.readAllLines(Path.of("../NOTICE"));
        List<String> missing = new ArrayList<>();
        for (JsonNode component : bill().get("components")) {
            String group = component.path("group").asString("");
            String name = "  %s:%s".formatted(group, component.get("name").asString());
            if (!group.equals("dev.oleander") && !notice.contains(name)) {
                missing.add(name);
            }
        }
        assertThat(missing).as("to be added: python3 script/notice.py").isEmpty();
        assertThat(notice).doesNotContain("not stated").contains("SIL Open Font License 1.1");
    }

    @Test
    void theBillNamesVersionsAndHashes() throws IOException {
        JsonNode components = bill().get("components");
        assertThat(components.size()).isGreaterThan(100);
        for (JsonNode component : components) {
            assertThat(component.get("version").asString()).isNotEmpty();
            if (!component.path("group").asString("").equals("dev.oleander")) {
                assertThat(component.get("hashes")).as(component.toString()).isNotEmpty();
            }
        }
    }
}
