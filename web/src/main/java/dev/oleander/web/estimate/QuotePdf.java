package dev.oleander.web.estimate;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import dev.oleander.price.Estimate;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobView;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Writes the quote sheet of a job. */
@Component
class QuotePdf {

    /** Days that a quote holds. */
    private static final int HOLDS = 30;

    private final TemplateEngine templates;
    private final Clock clock;

    QuotePdf(TemplateEngine templates, Clock clock) {
        this.templates = templates;
        this.clock = clock;
    }

    byte[] write(JobView job, Estimate estimate, boolean bySheet, SignedIn who) {
        LocalDate today = LocalDate.now(clock.withZone(ZoneOffset.UTC));
        Context context = new Context(Locale.ROOT);
        context.setVariable("job", job);
        context.setVariable("picture", styled(job.result().shape().picture()));
        context.setVariable("who", who);
        context.setVariable("date", today);
        context.setVariable("until", today.plusDays(HOLDS));
        context.setVariable("quantity", estimate.costs().quantity());
        context.setVariable("parts", job.result().reading().parts().size());
        context.setVariable("machine", estimate.machine() + ", " + estimate.process());
        context.setVariable("part", EstimateView.money(estimate.costs().part(bySheet)));
        context.setVariable("lot", EstimateView.money(estimate.costs().lot(bySheet)));
        context.setVariable("view", QuoteLine.of(estimate, bySheet));
        return render(templates.process("quote", context));
    }

    /** A picture that brings its look along: styles of the page do not reach into it. */
    private static String styled(String svg) {
        return svg.replaceFirst(
                ">",
                "><style>path{fill:none;stroke:#1f4a38;stroke-width:1.2}"
                        + "path.kept{fill:#dcebe1}</style>");
    }

    private static byte[] render(String html) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useSVGDrawer(new BatikSVGDrawer());
            builder.withHtmlContent(html, null);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }
}
