package dev.oleander.dialect;

import java.text.Normalizer;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** Names of program files: plain small letters, digits and hyphens, since controllers keep them. */
public final class FileNames {

    private static final int LONGEST = 100;

    private FileNames() {}

    /**
     * The name of a file after the pattern of its format.
     *
     * @param frame values by name; part and run are left out of them where there is only one
     * @throws DialectException when the pattern asks for a value that there is not
     */
    public static String of(Dialect dialect, Map<String, String> frame) {
        Map<String, String> plain = new HashMap<>();
        frame.forEach(
                (name, value) -> plain.put(name, name.equals("revision") ? value : plain(value)));
        dialect.parameters().forEach(p -> plain.putIfAbsent(p.name(), plain(p.usual())));
        plain.putIfAbsent("part", "1");
        plain.putIfAbsent("parts", "1");
        plain.putIfAbsent("run", "1");
        plain.putIfAbsent("runs", "1");
        String field = dialect.name() + ": file.name";
        String pattern = dialect.file().name();
        String name = EventWords.rendered(field, EventWords.compiled(field, pattern), plain);
        String safe = name.replaceAll("[^A-Za-z0-9_-]+", "-").replaceAll("^-+|-+$", "");
        boolean told = plain.get("runs").equals("1") || pattern.contains("{{run}}");
        String ofRun = told ? safe : safe + "-sheet" + plain.get("run");
        boolean numbered = plain.get("parts").equals("1") || pattern.contains("{{part}}");
        String parted = numbered ? ofRun : ofRun + "-" + plain.get("part");
        String whole = parted.isEmpty() ? "program" : parted;
        return whole.substring(0, Math.min(LONGEST, whole.length()))
                + "."
                + dialect.file().extension();
    }

    private static String plain(String value) {
        String plain =
                Normalizer.normalize(value, Normalizer.Form.NFKD)
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                        .replaceAll("^-|-$", "");
        return plain.isEmpty() ? "job" : plain;
    }
}
