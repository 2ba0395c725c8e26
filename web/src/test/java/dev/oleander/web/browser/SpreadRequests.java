package dev.oleander.web.browser;

import dev.oleander.web.SecondNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * One address before two nodes, which get its requests at random. Started once for all journeys;
 * where there is no proxy, they are made on one node.
 */
final class SpreadRequests {

    private static final Path PROXY = Path.of("/usr/sbin/haproxy");
    private static final String CONFIGURATION =
            """
            defaults
              mode http
              option abortonclose
              timeout connect 2s
              timeout client 120s
              timeout server 120s
            frontend people
              bind 127.0.0.1:%d
              default_backend nodes
            backend nodes
              balance random
              server one 127.0.0.1:%d
              server two 127.0.0.1:%d
            """;

    private static SecondNode second;
    private static Process proxy;
    private static int first;
    private static int front;

    private SpreadRequests() {}

    /**
     * @param port of the node that the tests run in
     * @return where to send requests
     */
    static synchronized int before(int port) {
        if (!Files.isExecutable(PROXY)) {
            return port;
        }
        if (second == null) {
            second =
                    SecondNode.start(
                            "oleander.patience=60s",
                            "oleander.crowd-patience=60s",
                            "oleander.proof-patience=60s");
            Runtime.getRuntime().addShutdownHook(new Thread(SpreadRequests::end));
        }
        if (first != port) {
            end(proxy);
            first = port;
            proxy = start(port);
        }
        return front;
    }

    private static Process start(int port) {
        try {
            try (ServerSocket free = new ServerSocket(0)) {
                front = free.getLocalPort();
            }
            Path file = Files.createTempFile("spread", ".cfg");
            Files.writeString(file, CONFIGURATION.formatted(front, port, second.port()));
            Process started =
                    new ProcessBuilder(PROXY.toString(), "-db", "-f", file.toString())
                            .redirectErrorStream(true)
                            .redirectOutput(Path.of("target", "proxy.log").toFile())
                            .start();
            awaitFront();
            return started;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private static void awaitFront() throws IOException {
        IOException last = null;
        for (int i = 0; i < 100; i++) {
            try (Socket socket = new Socket("127.0.0.1", front)) {
                return;
            } catch (IOException notYet) {
                last = notYet;
                pause();
            }
        }
        throw last;
    }

    private static void pause() {
        try {
            Thread.sleep(50);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void end(Process process) {
        if (process != null) {
            process.destroy();
        }
    }

    private static void end() {
        end(proxy);
        second.close();
    }
}
