package dev.oleander.dialect;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import com.samskivert.mustache.Template;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The blocks of events as a dialect's templates give them. */
final class EventWords {

    /** Templates know names only: no code, no files. */
    private static final Mustache.Compiler TEMPLATES =
            Mustache.compiler().escapeHTML(false).strictSections(true);

    private static final Pattern NAME = Pattern.compile("\\{\\{(\\w+)}}");

    /** For values that a dialect says nothing about. */
    private static final NumberForm PLAIN = NumberForm.plain(4, false, false);

    private final Dialect dialect;
    private final Map<EventKind, Template> templates = new EnumMap<>(EventKind.class);
    private final Map<EventKind, Set<String>> names = new EnumMap<>(EventKind.class);

    /**
     * @throws DialectException when a template is not well formed
     */
    EventWords(Dialect dialect) {
        this.dialect = dialect;
        for (EventKind kind : EventKind.values()) {
            String template = dialect.events().get(kind.word());
            if (template != null && !template.isBlank()) {
                templates.put(kind, compiled("events." + kind.word(), template));
                names.put(kind, namesOf(template));
            }
        }
    }

    static Template compiled(String field, String template) {
        try {
            return TEMPLATES.compile(template);
        } catch (MustacheException wrong) {
            throw new DialectException("%s: %s".formatted(field, wrong.getMessage()));
        }
    }

    static String rendered(String field, Template template, Map<String, String> values) {
        try {
            return template.execute(values);
        } catch (MustacheException wrong) {
            throw new DialectException("%s: %s".formatted(field, wrong.getMessage()));
        }
    }

    /** Whether a template has double braces that are not those of a name. */
    static boolean isOpen(String template) {
        String rest = NAME.matcher(template).replaceAll("");
        return rest.contains("{{") || rest.contains("}}");
    }

    /** Names of values that a template asks for. */
    static Set<String> namesOf(String template) {
        Set<String> found = new LinkedHashSet<>();
        Matcher name = NAME.matcher(template);
        while (name.find()) {
            found.add(name.group(1));
        }
        return found;
    }

    /**
     * Whether anything is written for an event.
     *
     * @throws DialectException when the dialect does not say
     */
    boolean isWritten(EventKind kind) {
        if (dialect.language() == Dialect.Language.TABLE) {
            return true;
        }
        if (!dialect.events().containsKey(kind.word())) {
            throw new DialectException(
                    "%s has no words for the event \"%s\"."
                            .formatted(dialect.title(), kind.word()));
        }
        return templates.containsKey(kind);
    }

    /** Names of the values that are written with an event. */
    Set<String> names(EventKind kind) {
        return names.getOrDefault(kind, Set.of());
    }

    /**
     * The block of an event.
     *
     * @throws DialectException when the template asks for a value that the event does not have
     */
    String block(Item.Event event) {
        Map<String, String> values = new HashMap<>();
        values.put("text", TextLines.plainText(event.text(), dialect.comment()));
        event.args()
                .forEach(
                        (name, value) ->
                                values.put(
                                        name,
                                        dialect.values().getOrDefault(name, PLAIN).write(value)));
        String block =
                rendered("events." + event.kind().word(), templates.get(event.kind()), values);
        return dialect.file().spaces() ? block : block.replace(" ", "");
    }
}
