package dev.oleander.web.format;

import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.FormatCheck;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The formats that ship, with what the shop has made of them. */
@Service
@Transactional(readOnly = true)
public class Formats {

    private static final Pattern VERSION = Pattern.compile("(?m)^version:.*$");
    private static final int LONGEST_NOTE = 200;

    private final FormatVersionRepository saved;
    private final AccountRepository accounts;
    private final Clock clock;
    private volatile Known known = new Known(-1, Map.of());

    /** All formats as they were after a save. */
    private record Known(long version, Map<String, Dialect> formats) {}

    Formats(FormatVersionRepository saved, AccountRepository accounts, Clock clock) {
        this.saved = saved;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Changes with every save: what follows from formats is as old as this says. */
    public long version() {
        return saved.newest();
    }

    private Map<String, Dialect> formats() {
        long version = saved.newest();
        Known now = known;
        if (now.version() != version) {
            Map<String, Dialect> formats = new LinkedHashMap<>();
            DialectLibrary.shipped().all().forEach(d -> formats.put(d.name(), d));
            for (FormatVersion v : saved.latest()) {
                formats.put(v.name(), DialectLibrary.parse(v.name(), v.description()));
            }
            now = new Known(version, formats);
            known = now;
        }
        return now.formats();
    }

    public List<Dialect> all() {
        return List.copyOf(formats().values());
    }

    public Optional<Dialect> find(String name) {
        return Optional.ofNullable(formats().get(name));
    }

    /** All versions of a format, the latest first; none when there is no such format. */
    public List<SavedFormat> history(String name) {
        List<SavedFormat> history = new ArrayList<>();
        for (FormatVersion v : saved.ofName(name)) {
            history.add(
                    new SavedFormat(
                            v.name(), v.version(), v.description(), v.note(), v.by(), v.at()));
        }
        if (DialectLibrary.shippedNames().contains(name)) {
            String description = DialectLibrary.description(name);
            int version = DialectLibrary.parse(name, description).version();
            history.add(new SavedFormat(name, version, description, "as it ships", "", null));
        }
        return history;
    }

    /** The description that holds; empty when there is no such format. */
    public Optional<SavedFormat> latest(String name) {
        return history(name).stream().findFirst();
    }

    private SavedFormat known(String name) {
        return latest(name)
                .orElseThrow(
                        () ->
                                refused(
                                        "There is no format \"%s\"; there are %s."
                                                .formatted(
                                                        name,
                                                        String.join(", ", formats().keySet()))));
    }

    /**
     * Keeps a description as the next version of a format.
     *
     * @param from version it was made from; another one since then refuses it
     * @throws FormatRefusedException when it has mistakes, its samples fail or somebody was quicker
     */
    @Transactional
    public SavedFormat save(String name, int from, String description, String note, SignedIn who) {
        SavedFormat latest = known(name);
        if (latest.version() != from) {
            throw refused(
                    "Version %d was saved by %s meanwhile; yours was made from version %d."
                            .formatted(latest.version(), latest.by(), from));
        }
        String yaml = plain(description);
        if (yaml.equals(plain(latest.description()))) {
            throw refused("Nothing differs from version %d.".formatted(from));
        }
        return keep(name, from + 1, yaml, note, who);
    }

    /**
     * Makes a format of the shop's own from another one.
     *
     * @throws FormatRefusedException when the name is taken or not possible
     */
    @Transactional
    public SavedFormat create(String name, String from, SignedIn who) {
        if (find(name).isPresent()) {
            throw refused("There is a format \"%s\" already.".formatted(name));
        }
        if (!name.matches("[a-z][a-z0-9-]{1,39}")) {
            throw refused(
                    "\"%s\" is no name: 2 to 40 small letters, digits and hyphens, a letter first."
                            .formatted(name));
        }
        String yaml =
                Pattern.compile("(?m)^name:.*$")
                        .matcher(known(from).description())
                        .replaceFirst("name: " + name);
        return keep(name, 1, yaml, "made from " + from, who);
    }

    private SavedFormat keep(String name, int version, String yaml, String note, SignedIn who) {
        String numbered = numbered(yaml, version);
        FormatCheck check = FormatCheck.of(name, numbered);
        if (!check.isUsable()) {
            throw new FormatRefusedException(check.faults());
        }
        if (!check.dialect().name().equals(name)) {
            throw refused(
                    "The name must stay \"%s\", not \"%s\"; make a new format instead."
                            .formatted(name, check.dialect().name()));
        }
        String why = note.strip();
        if (why.isEmpty()) {
            throw refused("Say why, in a few words: others have to understand it later.");
        }
        FormatVersion made =
                new FormatVersion(
                        name,
                        version,
                        numbered,
                        why.substring(0, Math.min(LONGEST_NOTE, why.length())),
                        accounts.getReferenceById(who.id()),
                        clock.instant());
        try {
            saved.saveAndFlush(made);
        } catch (DataIntegrityViolationException quicker) {
            throw refused("Version %d was saved by somebody else just now.".formatted(version));
        }
        return new SavedFormat(name, version, numbered, why, who.fullName(), made.at());
    }

    private static FormatRefusedException refused(String reason) {
        return new FormatRefusedException(List.of(reason));
    }

    private static String plain(String text) {
        return text.replace("\r\n", "\n").stripTrailing() + "\n";
    }

    private static String numbered(String yaml, int version) {
        String line = "version: " + version;
        return VERSION.matcher(yaml).find()
                ? VERSION.matcher(yaml).replaceFirst(line)
                : line + "\n" + yaml;
    }
}
