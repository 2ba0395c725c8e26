package dev.oleander.web.asset;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Where libraries of the browser lie. Their versions are said by the build alone: pages ask here by
 * name, modules by the import map that pages begin with.
 */
@Component("webjars")
public class WebJars {

    private static final String ROOT = "META-INF/resources";

    private final ResourcePatternResolver resources;
    private final Map<String, String> paths = new ConcurrentHashMap<>();
    private final String importMap;

    WebJars(ResourcePatternResolver resources) {
        this.resources = resources;
        String three = path("three", "build/three.module.min.js");
        String addons = path("three", "examples/jsm/controls/OrbitControls.js");
        Map<String, String> imports = new TreeMap<>();
        imports.put("three", three);
        imports.put("three/addons/", addons.replace("controls/OrbitControls.js", ""));
        this.importMap = JsonMapper.shared().writeValueAsString(Map.of("imports", imports));
    }

    /**
     * The address of a file of a library.
     *
     * @throws IllegalStateException when the build brought none, or several versions
     */
    public final String path(String library, String file) {
        return paths.computeIfAbsent(library + "/" + file, k -> found(library, file));
    }

    private String found(String library, String file) {
        String pattern = "classpath*:%s/webjars/%s/*/%s".formatted(ROOT, library, file);
        try {
            Resource[] found = resources.getResources(pattern);
            if (found.length != 1) {
                throw new IllegalStateException(
                        "%d versions of %s have %s".formatted(found.length, library, file));
            }
            String address = found[0].getURL().toString();
            return address.substring(address.indexOf(ROOT) + ROOT.length());
        } catch (IOException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }

    /** What modules mean by the names of libraries; JSON. */
    public String importMap() {
        return importMap;
    }

    /**
     * By which the policy of contents knows the import map, which must stand in the page itself.
     */
    public String importMapHash() {
        try {
            byte[] hash =
                    MessageDigest.getInstance("SHA-256")
                            .digest(importMap.getBytes(StandardCharsets.UTF_8));
            return "sha256-" + Base64.getEncoder().encodeToString(hash);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
