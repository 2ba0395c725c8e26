package dev.oleander.web.load;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.catalina.Context;
import org.apache.catalina.startup.Tomcat;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A server of its own with small limits: clients that are slow, many, or send too much. */
class BodyLimitsTest {

    private static final BodyLimits.Limits SMALL =
            new BodyLimits.Limits(1_000, 2_000, 4_000, 0.5, 1_000, 4, 3);

    @TempDir private Path folder;
    private final Tomcat server = new Tomcat();
    private final List<Socket> open = new ArrayList<>();

    @BeforeEach
    void start() throws Exception {
        server.setBaseDir(folder.toString());
        server.setPort(0);
        Context context = server.addContext("", folder.toString());
        context.getPipeline().addValve(new BodyLimits(SMALL));
        Tomcat.addServlet(context, "counts", new Counts());
        context.addServletMappingDecoded("/", "counts");
        server.start();
    }

    @AfterEach
    void stop() throws Exception {
        for (Socket socket : open) {
            socket.close();
        }
        server.stop();
        server.destroy();
    }

    /** Says how many bytes there were. */
    private static final class Counts extends HttpServlet {

        private static final long serialVersionUID = 1L;

        @Override
        protected void service(HttpServletRequest request, HttpServletResponse response)
                throws IOException {
            response.getWriter().write("read " + request.getInputStream().readAllBytes().length);
        }
    }

    private Socket connect(String head) throws IOException {
        Socket socket = new Socket("127.0.0.1", server.getConnector().getLocalPort());
        socket.setSoTimeout(5_000);
        open.add(socket);
        write(socket, "POST / HTTP/1.1\r\nHost: a\r\n" + head + "\r\n\r\n");
        return socket;
    }

    private static void write(Socket socket, String text) throws IOException {
        OutputStream out = socket.getOutputStream();
        out.write(text.getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static String answer(Socket socket) throws IOException {
        byte[] some = new byte[4_000];
        int length = 0;
        int read = 0;
        while (read >= 0
                && !new String(some, 0, length, StandardCharsets.UTF_8).contains("</html>")) {
            read = socket.getInputStream().read(some, length, some.length - length);
            length += Math.max(0, read);
            if (new String(some, 0, length, StandardCharsets.UTF_8).contains("\r\n\r\nread ")) {
                break;
            }
        }
        return new String(some, 0, length, StandardCharsets.UTF_8);
    }

    @Test
    void whatIsSaidToBeTooLargeIsNotRead() throws Exception {
        assertThat(answer(connect("Content-Length: 1001")))
                .startsWith("HTTP/1.1 413")
                .contains("1000 bytes are the limit");
        assertThat(answer(connect("Content-Type: text/plain\r\nContent-Length: 2001")))
                .startsWith("HTTP/1.1 413");
    }

    @Test
    void whatGrowsTooLargeIsReadNoFurther() throws Exception {
        Socket socket = connect("Transfer-Encoding: chunked");
        write(socket, "258\r\n" + "x".repeat(600) + "\r\n258\r\n" + "x".repeat(600) + "\r\n");
        assertThat(answer(socket)).startsWith("HTTP/1.1 413").contains("are the limit");
    }

    @Test
    void whatComesByteByByteEndsAfterAWhile() throws Exception {
        Socket socket = connect("Content-Length: 900");
        String said = "";
        for (int i = 0; i < 40 && said.isEmpty(); i++) {
            write(socket, "x");
            Thread.sleep(50);
            if (socket.getInputStream().available() > 0) {
                said = answer(socket);
            }
        }
        assertThat(said).startsWith("HTTP/1.1 408").contains("comes in too slowly");
    }

    @Test
    void manySlowOnesOfOneAddressLeaveRoomForOthers() throws Exception {
        List<Socket> slow = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            slow.add(connect("Content-Length: 900"));
        }
        Thread.sleep(200);
        Socket more = connect("Content-Length: 4");
        write(more, "four");
        assertThat(answer(more))
                .startsWith("HTTP/1.1 503")
                .contains("Retry-After: 3", "Too many requests come in");
        for (Socket socket : slow) {
            socket.close();
        }
        Thread.sleep(300);
        Socket after = connect("Content-Length: 4");
        write(after, "four");
        assertThat(answer(after)).startsWith("HTTP/1.1 200").contains("read 4");
    }

    @Test
    void theNextRequestOfAConnectionIsReadAsUsual() throws Exception {
        Socket socket = connect("Content-Length: 3");
        write(socket, "one");
        assertThat(answer(socket)).contains("read 3");
        write(socket, "POST / HTTP/1.1\r\nHost: a\r\nContent-Length: 6\r\n\r\nsecond");
        assertThat(answer(socket)).contains("read 6");
    }
}
