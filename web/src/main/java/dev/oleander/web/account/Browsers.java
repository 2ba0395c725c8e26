package dev.oleander.web.account;

import java.util.LinkedHashMap;
import java.util.Map;

/** What a browser says of itself, in a few words that people know. */
final class Browsers {

    private static final int LONGEST = 60;

    /** A word of the text and what it stands for; those that name others too come first. */
    private static final Map<String, String> BROWSERS = new LinkedHashMap<>();

    private static final Map<String, String> SYSTEMS = new LinkedHashMap<>();

    static {
        BROWSERS.put("Edg/", "Edge");
        BROWSERS.put("Firefox/", "Firefox");
        BROWSERS.put("Chrome/", "Chrome");
        BROWSERS.put("Safari/", "Safari");
        SYSTEMS.put("Android", "Android");
        SYSTEMS.put("iPhone", "iPhone");
        SYSTEMS.put("iPad", "iPad");
        SYSTEMS.put("Windows", "Windows");
        SYSTEMS.put("Mac OS", "macOS");
        SYSTEMS.put("Linux", "Linux");
    }

    private Browsers() {}

    static String named(String agent) {
        if (agent == null || agent.isBlank()) {
            return "an unnamed program";
        }
        String browser = word(agent, BROWSERS);
        String system = word(agent, SYSTEMS);
        if (browser == null) {
            return agent.length() > LONGEST ? agent.substring(0, LONGEST) : agent;
        }
        return system == null ? browser : browser + " on " + system;
    }

    private static String word(String agent, Map<String, String> words) {
        return words.entrySet().stream()
                .filter(w -> agent.contains(w.getKey()))
                .findFirst()
                .map(Map.Entry::getValue)
                .orElse(null);
    }
}
