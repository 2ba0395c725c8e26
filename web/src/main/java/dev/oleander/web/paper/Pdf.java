package dev.oleander.web.paper;

import com.openhtmltopdf.extend.FSStreamFactory;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
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
        return written(templates.process(template, new Context(Locale.ROOT, values)));
    }

    static byte[] written(String html) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useSVGDrawer(new BatikSVGDrawer());
            addFont(builder, "commissioner-400", "Commissioner", 400);
            addFont(builder, "commissioner-700", "Commissioner", 700);
            addFont(builder, "source-code-pro-400", "Source Code Pro", 400);
            loadNothing(builder);
            builder.withHtmlContent(html, null);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** All that a sheet shows stands in its page; no address that found its way in is looked up. */
    private static void loadNothing(PdfRendererBuilder builder) {
        builder.useUriResolver((base, uri) -> null);
        FSStreamFactory none =
                uri -> {
                    throw new IllegalStateException("a sheet may not load " + uri);
                };
        builder.useProtocolsStreamImplementation(
                none, "http", "https", "file", "jar", "ftp", "data", "resource");
        builder.useExternalResourceAccessControl(
                (uri, type) -> false, ExternalResourceControlPriority.RUN_BEFORE_RESOLVING_URI);
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
