package dev.oleander.web.seal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * The keys of this installation: files of 64 hexadecimal digits, {@code key-0001} and on. The
 * newest makes codes, all of them test codes. The first is made here, further ones by the start
 * script ({@code ./oleander new-seal-key}).
 */
@Component
class SealKeys {

    private static final int SECRET_BYTES = 32;
    private static final String PREFIX = "key-";

    private final Path folder;

    SealKeys(SealSettings settings) {
        this.folder = Path.of(settings.folder());
    }

    /** The one that codes are made with now; made when there is none. */
    SealKey present() {
        List<Path> files = files();
        return read(files.isEmpty() ? first() : files.get(files.size() - 1));
    }

    /** Empty when it is not kept here. */
    Optional<SealKey> named(String name) {
        return files().stream().map(SealKeys::read).filter(k -> k.name().equals(name)).findFirst();
    }

    private List<Path> files() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(f -> f.getFileName().toString().startsWith(PREFIX))
                    .sorted(Comparator.comparing(f -> f.getFileName().toString()))
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Another process may make it at the same moment: the link is made once. */
    private Path first() {
        byte[] secret = new byte[SECRET_BYTES];
        new SecureRandom().nextBytes(secret);
        Path file = folder.resolve(PREFIX + "0001");
        try {
            Files.createDirectories(folder);
            Path complete =
                    Files.createTempFile(
                            folder,
                            "new",
                            "",
                            PosixFilePermissions.asFileAttribute(
                                    PosixFilePermissions.fromString("rw-------")));
            Files.writeString(complete, HexFormat.of().formatHex(secret) + "\n");
            try {
                Files.createLink(file, complete);
            } catch (FileAlreadyExistsException madeMeanwhile) {
                // that one is as good
            } finally {
                Files.delete(complete);
            }
        } catch (IOException unwritable) {
            throw new UncheckedIOException(
                    "The folder of the seal keys, %s, cannot be written.".formatted(folder),
                    unwritable);
        }
        return file;
    }

    private static SealKey read(Path file) {
        try {
            return new SealKey(HexFormat.of().parseHex(Files.readString(file).strip()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        } catch (IllegalArgumentException broken) {
            throw new IllegalStateException(
                    "%s is no seal key: it holds 64 hexadecimal digits.".formatted(file), broken);
        }
    }
}
