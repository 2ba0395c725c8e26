package dev.oleander.web.paper;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PdfTest {

    private static final String PIXEL =
            "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==";

    @Test
    void aSheetLoadsNothingWhateverItsPageSays(@TempDir Path folder) throws Exception {
        List<String> asked = new CopyOnWriteArrayList<>();
        HttpServer server =
                HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext(
                "/",
                exchange -> {
                    asked.add(exchange.getRequestURI().toString());
                    exchange.sendResponseHeaders(404, -1);
                    exchange.close();
                });
        server.start();
        Path picture = folder.resolve("secret.png");
        Files.write(picture, Base64.getDecoder().decode(PIXEL));
        String there = "http://127.0.0.1:" + server.getAddress().getPort();
        String page =
                """
                <html><head><style>
                  @import url('%1$s/import.css');
                  @font-face { font-family: Other; src: url('%1$s/font.ttf'); }
                  body { background: url('%1$s/background.png'); font-family: Other; }
                </style><link rel="stylesheet" href="%1$s/link.css"/></head><body>
                  <p>What stands here</p>
                  <img src="%1$s/picture.png" alt=""/><img src="%2$s" alt=""/>
                  <img src="data:image/png;base64,%3$s" alt=""/>
                  <svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="9" height="9"><image xlink:href="%1$s/svg.png" width="9" height="9"/></svg>
                </body></html>
                """
                        .formatted(there, picture.toUri(), PIXEL);
        byte[] pdf = Pdf.written(page);
        server.stop(0);
        assertThat(asked).isEmpty();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains("What stands here");
            assertThat(document.getPage(0).getResources().getXObjectNames()).isEmpty();
        }
    }
}
