package dev.oleander.web.seal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The last link of the chain as a file outside of the database, so that links which vanish there
 * are missed. All processes of the machine share it.
 */
@Component
class ChainHead {

    /** Which link is the last, and its code. */
    record Head(long place, String code) {}

    private static final int LONGEST = 200;

    private final Path file;

    ChainHead(SealSettings settings) {
        this.file = Path.of(settings.folder()).resolve("head");
    }

    /** Empty when none was noted. */
    Optional<Head> read() {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            return parse(Files.readString(file));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Nothing happens when a later one stands there. */
    synchronized void note(Head head) {
        try {
            Files.createDirectories(file.getParent());
            try (FileChannel channel =
                            FileChannel.open(
                                    file,
                                    StandardOpenOption.CREATE,
                                    StandardOpenOption.READ,
                                    StandardOpenOption.WRITE);
                    FileLock alone = channel.lock()) {
                if (noted(channel).map(Head::place).orElse(0L) < head.place()) {
                    write(channel, head);
                }
            }
        } catch (IOException unwritable) {
            throw new UncheckedIOException(
                    "The head of the chain of seals, %s, cannot be written.".formatted(file),
                    unwritable);
        }
    }

    private static Optional<Head> noted(FileChannel channel) throws IOException {
        ByteBuffer text = ByteBuffer.allocate(LONGEST);
        channel.read(text, 0);
        return parse(new String(text.array(), 0, text.position(), StandardCharsets.US_ASCII));
    }

    /** One write of a length that hardly changes, so that a reader never sees half of it. */
    private static void write(FileChannel channel, Head head) throws IOException {
        byte[] line = "%d %s%n".formatted(head.place(), head.code()).getBytes();
        channel.write(ByteBuffer.wrap(line), 0);
        channel.truncate(line.length);
        channel.force(true);
    }

    private static Optional<Head> parse(String text) {
        String[] words = text.strip().split(" ");
        return words.length == 2 && words[0].matches("\\d{1,18}")
                ? Optional.of(new Head(Long.parseLong(words[0]), words[1]))
                : Optional.empty();
    }
}
