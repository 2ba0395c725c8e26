package dev.oleander.web.letter;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.drawing.letter.Faces;
import dev.oleander.drawing.letter.FontFile;
import dev.oleander.drawing.letter.HersheyFont;
import dev.oleander.drawing.letter.StrokeFont;
import dev.oleander.drawing.letter.TypeFace;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.NotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** The fonts of the shop: those that ship, and those that people have brought in. */
@Service
public class Fonts implements Faces {

    private static final int KEPT = 40;

    private static final String OFL = "OFL-1.1";

    /** A file within the application. */
    private record Shipped(String file, String family, String style, String licence) {}

    private static final List<Shipped> SHIPPED =
            List.of(
                    new Shipped("commissioner-400.ttf", "Commissioner", "regular", OFL),
                    new Shipped("commissioner-700.ttf", "Commissioner", "bold", OFL),
                    new Shipped("barlow-condensed-400.woff", "Barlow Condensed", "regular", OFL),
                    new Shipped("barlow-condensed-700.woff", "Barlow Condensed", "bold", OFL),
                    new Shipped("nunito-400.woff", "Nunito, rounded", "regular", OFL),
                    new Shipped("nunito-700.woff", "Nunito, rounded", "bold", OFL),
                    new Shipped("zilla-slab-400.woff", "Zilla Slab", "regular", OFL),
                    new Shipped("zilla-slab-700.woff", "Zilla Slab", "bold", OFL),
                    new Shipped("dancing-script-400.woff", "Dancing Script", "regular", OFL),
                    new Shipped("dancing-script-700.woff", "Dancing Script", "bold", OFL),
                    new Shipped("stardos-stencil-400.woff", "Stardos Stencil", "regular", OFL),
                    new Shipped("stardos-stencil-700.woff", "Stardos Stencil", "bold", OFL),
                    new Shipped("allerta-stencil-400.woff", "Allerta Stencil", "regular", OFL));

    private static final int LONGEST_NAME = 200;

    private static final String HERSHEY = "any use, with its acknowledgements";

    private final JdbcTemplate sql;
    private final Clock clock;
    private final Map<String, Font> shipped = new LinkedHashMap<>();

    /** Those that ship stay in memory. */
    private final Map<String, TypeFace> pinned = new LinkedHashMap<>();

    /** Reading a font takes a while, and texts ask for the same ones. */
    private final Cache<String, Optional<TypeFace>> read =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    Fonts(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
        SHIPPED.forEach(this::ship);
        keep(StrokeFont.marking(), "ours");
        keep(HersheyFont.roman(), HERSHEY);
        keep(HersheyFont.script(), HERSHEY);
    }

    /**
     * A font.
     *
     * @param kind outline or stroke
     * @param capHeight of H, in units
     * @param licence empty: nobody said
     * @param owner who brought it in; empty: it ships
     */
    public record Font(
            String sha256,
            String family,
            String style,
            String kind,
            int unitsPerEm,
            double capHeight,
            String licence,
            String owner) {

        static Font of(TypeFace face, String licence, String owner) {
            return new Font(
                    face.names().sha256(),
                    face.names().family(),
                    face.names().style(),
                    face.names().strokes() ? "stroke" : "outline",
                    face.unitsPerEm(),
                    face.capHeight(),
                    licence,
                    owner);
        }
    }

    private void ship(Shipped font) {
        try (InputStream in = Fonts.class.getResourceAsStream("/fonts/" + font.file())) {
            TypeFace face = FontFile.read(in.readAllBytes(), font.file());
            keep(face.called(font.family(), font.style()), font.licence());
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    private void keep(TypeFace face, String licence) {
        shipped.put(face.names().sha256(), Font.of(face, licence, ""));
        pinned.put(face.names().sha256(), face);
    }

    /** Those that ship first, then those brought in last. */
    public List<Font> all() {
        List<Font> all = new ArrayList<>(shipped.values());
        all.addAll(
                sql.query(
                        "select f.sha256, f.family, f.style, f.kind, f.units_per_em, f.cap_height,"
                                + " a.full_name from font f join account a"
                                + " on a.id = f.account_id order by f.made_at desc",
                        (row, i) -> font(row)));
        return all;
    }

    /** Of those from before what they are is only found by reading them. */
    private Font font(ResultSet row) throws SQLException {
        String sha256 = row.getString("sha256");
        String owner = row.getString("full_name");
        return row.getString("family") == null
                ? Font.of(face(sha256), "", owner)
                : new Font(
                        sha256,
                        row.getString("family"),
                        row.getString("style"),
                        row.getString("kind"),
                        row.getInt("units_per_em"),
                        row.getDouble("cap_height"),
                        "",
                        owner);
    }

    /** A font as one of several. */
    public record Choice(String value, String label) {}

    /** All of them, our own alphabet of single lines first, which is had without asking. */
    public List<Choice> choices() {
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "Marking, single line"));
        all().stream()
                .filter(f -> !f.sha256().equals(StrokeFont.marking().names().sha256()))
                .forEach(f -> choices.add(new Choice(f.sha256(), f.family() + ", " + f.style())));
        return choices;
    }

    /**
     * Brings a font in; the same file again changes nothing.
     *
     * @throws dev.oleander.drawing.letter.LetterException when it cannot be read
     */
    public Font bring(byte[] file, String name, SignedIn who) {
        TypeFace face = FontFile.read(file, name);
        String sha256 = face.names().sha256();
        Font font = Font.of(face, "", who.fullName());
        if (!shipped.containsKey(sha256)) {
            sql.update(
                    "insert into font (sha256, name, file, account_id, made_at, family, style, kind,"
                            + " units_per_em, cap_height)"
                            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict do nothing",
                    sha256,
                    within(name),
                    file,
                    who.id(),
                    Timestamp.from(clock.instant()),
                    within(font.family()),
                    within(font.style()),
                    font.kind(),
                    font.unitsPerEm(),
                    font.capHeight());
        }
        read.put(sha256, Optional.of(face));
        return shipped.getOrDefault(sha256, font);
    }

    private static String within(String name) {
        return name.substring(0, Math.min(LONGEST_NAME, name.length()));
    }

    /**
     * @throws NotFoundException when the shop has no such font
     */
    public TypeFace face(String sha256) {
        return find(sha256)
                .orElseThrow(
                        () -> new NotFoundException("The shop has no font %s.".formatted(sha256)));
    }

    @Override
    public Optional<TypeFace> find(String sha256) {
        if (sha256.isEmpty()) {
            return Optional.of(StrokeFont.marking());
        }
        TypeFace own = pinned.get(sha256);
        return own != null ? Optional.of(own) : read.get(sha256, this::kept);
    }

    private Optional<TypeFace> kept(String sha256) {
        return sql
                .query(
                        "select name, file from font where sha256 = ?",
                        (row, i) -> FontFile.read(row.getBytes("file"), row.getString("name")),
                        sha256)
                .stream()
                .findFirst();
    }
}
