package dev.oleander.web.asset;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
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

    /** What each module imports, by name. */
    private final Map<String, List<String>> imports = new HashMap<>();

    private final String version;

    ScriptModules(ResourcePatternResolver resources) throws IOException {
        Map<String, String> texts = new TreeMap<>();
        for (Resource file : resources.getResources("classpath:/static/js/*.js")) {
            texts.put(file.getFilename(), file.getContentAsString(StandardCharsets.UTF_8));
        }
        texts.forEach((name, text) -> imports.put(name, importsOf(text)));
        byte[] all = texts.toString().getBytes(StandardCharsets.UTF_8);
        this.version = DigestUtils.md5DigestAsHex(all);
    }

    /** Changes when any module changes. */
    String version() {
        return version;
    }

    /**
     * All that a module needs to run, without itself; nearest first.
     *
     * @param besides another one that is loaded by it, with all that this one needs; empty for none
     */
    public List<String> neededBy(String module, String besides) {
        Set<String> found = new LinkedHashSet<>(List.of(module));
        if (!besides.isEmpty()) {
            found.add(besides);
        }
        Deque<String> open = new ArrayDeque<>(found);
        while (!open.isEmpty()) {
            for (String imported : imports.get(open.remove())) {
                if (found.add(imported)) {
                    open.add(imported);
                }
            }
        }
        found.remove(module);
        return List.copyOf(found);
    }

    private static List<String> importsOf(String text) {
        return IMPORT.matcher(text).results().map(m -> m.group(1)).toList();
    }
}
