package dev.oleander.web.asset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

class ScriptModulesTest extends WebTest {

    @Autowired private ScriptModules scripts;
    @Autowired private WebJars webJars;

    @Test
    void aModuleNeedsWhatItImportsAndWhatTheseImport() {
        assertThat(scripts.neededBy("take.js", "")).containsExactly("paths.js", "picker.js");
        List<String> needed = scripts.neededBy("bench.js", "");
        assertThat(needed)
                .contains("table.js", "painter.js", "rulers.js", "paths.js")
                .as("registered by kinds of work, or fetched when the view in space is opened")
                .doesNotContain("wire.js", "leads.js", "solid.js", "bench.js")
                .doesNotHaveDuplicates();
        assertThat(scripts.neededBy("bench.js", "wire.js"))
                .containsAll(needed)
                .contains("wire.js", "flanks.js");
    }

    @Test
    void allModulesAreServedUnderOneVersion() {
        PageClient pages = new PageClient(port).signedIn("mira");
        long job = makeJob("cleat_backing_plate", "Modules", 1);
        String page = pages.get("/jobs/%d/cuts".formatted(job)).body();
        Matcher script = Pattern.compile("src=\"/js/(\\w+)/bench\\.js\"").matcher(page);
        assertThat(script.find()).isTrue();
        assertThat(script.group(1)).isEqualTo(scripts.version());
        for (String module : scripts.neededBy("bench.js", "leads.js")) {
            String address = "/js/" + scripts.version() + "/" + module;
            assertThat(page).contains("<link rel=\"modulepreload\" href=\"" + address + "\"");
            HttpResponse<String> served = pages.get(address);
            assertThat(served.statusCode()).as(module).isEqualTo(200);
            assertThat(served.headers().firstValue("Cache-Control").orElse(""))
                    .contains("max-age=31536000");
        }
        assertThat(pages.get("/js/0123456789abcdef/bench.js").statusCode())
                .as("another version")
                .isEqualTo(404);
    }

    @Test
    void librariesAreFoundByNameAndMappedForModules() {
        assertThat(webJars.path("htmx.org", "dist/htmx.min.js"))
                .matches("/webjars/htmx.org/[0-9.]+/dist/htmx.min.js");
        assertThatThrownBy(() -> webJars.path("none", "such.js"))
                .isInstanceOf(IllegalStateException.class);
        PageClient pages = new PageClient(port).signedIn("mira");
        HttpResponse<String> board = pages.get("/");
        assertThat(board.body())
                .contains("<script type=\"importmap\">" + webJars.importMap() + "</script>");
        assertThat(board.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("'" + webJars.importMapHash() + "'");
        assertThat(pages.get(webJars.path("three", "build/three.module.min.js")).statusCode())
                .isEqualTo(200);
    }
}
