package dev.oleander.web.page;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.stereotype.Component;
import org.springframework.util.DigestUtils;

/**
 * The browser's modules. They import each other by plain names, so all of them share one version in
 * their address: a browser never mixes those of two versions of the application. What a module
 * imports can be asked for with the page, before the module itself says so.
 */
@Component("scripts")
public class ScriptModules {

    private static final Pattern IMPORT =
            Pattern.compile(
                    "^import\\s(?:[^;]*?\\sfrom\\s)?'\\./([\\w-]+\\.js)';", Pattern.MULTILINE);

    /** Text of each module, by name. */
    private final Map<String, String> texts = new TreeMap<>();

    private final String version;

    ScriptModules(ResourcePatternResolver resources) throws IOException {
        StringBuilder all = new StringBuilder();
        for (Resource file : resources.getResources("classpath:/static/js/*.js")) {
            texts.put(file.getFilename(), file.getContentAsString(StandardCharsets.UTF_8));
        }
        texts.forEach((name, text) -> all.append(name).append('\n').append(text));
        this.version = DigestUtils.md5DigestAsHex(all.toString().getBytes(StandardCharsets.UTF_8));
    }

    /** Changes when any module changes. */
    String version() {
        return version;
    }

    /** All that a module needs to run, without itself; nearest first. */
    public List<String> neededBy(String module) {
        Set<String> found = new LinkedHashSet<>(List.of(module));
        Deque<String> open = new ArrayDeque<>(found);
        while (!open.isEmpty()) {
            for (String imported : importsOf(open.remove())) {
                if (found.add(imported)) {
                    open.add(imported);
                }
            }
        }
        found.remove(module);
        return List.copyOf(found);
    }

    private List<String> importsOf(String module) {
        return IMPORT.matcher(texts.get(module)).results().map(m -> m.group(1)).toList();
    }
}
