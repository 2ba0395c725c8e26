package dev.oleander.web.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.Map;
import java.util.logging.Level;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Makes sheets of paper from templates. */
@Component
public class Pdf {

    private final TemplateEngine templates;

    Pdf(TemplateEngine templates) {
        this.templates = templates;
        // it tells each step of each sheet otherwise
        XRLog.listRegisteredLoggers().forEach(name -> XRLog.setLevel(name, Level.WARNING));
    }

    /**
     * @param template name of a page that is well formed; its pictures bring their look along
     */
    public byte[] of(String template, Map<String, Object> values) {
        String html = templates.process(template, new Context(Locale.ROOT, values));
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useSVGDrawer(new BatikSVGDrawer());
            addFont(builder, "commissioner-400", "Commissioner", 400);
            addFont(builder, "commissioner-700", "Commissioner", 700);
            addFont(builder, "source-code-pro-400", "Source Code Pro", 400);
            builder.withHtmlContent(html, null);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /**
     * Embedded, since not every machine that prints has the same ones; licences lie with the
     * styles.
     */
    private static void addFont(PdfRendererBuilder builder, String file, String name, int weight) {
        builder.useFont(
                () -> Pdf.class.getResourceAsStream("/fonts/" + file + ".ttf"),
                name,
                weight,
                BaseRendererBuilder.FontStyle.NORMAL,
                true);
    }
}
