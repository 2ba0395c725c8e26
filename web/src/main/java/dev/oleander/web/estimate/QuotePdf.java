package dev.oleander.web.estimate;

import dev.oleander.price.Estimate;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobView;
import dev.oleander.web.paper.Pdf;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Writes the quote sheet of a job. */
@Component
class QuotePdf {

    /** Days that a quote holds. */
    private static final int HOLDS = 30;

    private final Pdf pdf;
    private final Clock clock;

    /** What prices are in, as the shop chose. */
    private final String currency;

    QuotePdf(Pdf pdf, Clock clock, @Value("${oleander.currency}") String currency) {
        this.currency = currency;
        this.pdf = pdf;
        this.clock = clock;
    }

    byte[] write(JobView job, Estimate estimate, boolean bySheet, SignedIn who) {
        LocalDate today = LocalDate.now(clock.withZone(ZoneOffset.UTC));
        Map<String, Object> values = new HashMap<>();
        values.put("job", job);
        values.put("picture", styled(job.result().shape().picture()));
        values.put("who", who);
        values.put("date", today);
        values.put("until", today.plusDays(HOLDS));
        values.put("quantity", estimate.costs().quantity());
        values.put("parts", job.result().reading().parts().size());
        values.put("machine", estimate.machine() + ", " + estimate.process());
        values.put("part", EstimateView.money(estimate.costs().part(bySheet)));
        values.put("lot", EstimateView.money(estimate.costs().lot(bySheet)));
        values.put("currency", currency);
        values.put("view", QuoteLine.of(estimate, bySheet));
        return pdf.of("quote", values);
    }

    /** A picture that brings its look along: styles of the page do not reach into it. */
    private static String styled(String svg) {
        return svg.replaceFirst(
                ">",
                "><style>path{fill:none;stroke:#1f4a38;stroke-width:1.2}"
                        + "path.kept{fill:#dcebe1}</style>");
    }
}
