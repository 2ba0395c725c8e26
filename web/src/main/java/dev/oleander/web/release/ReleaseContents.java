package dev.oleander.web.release;

import dev.oleander.dialect.Dialect;
import dev.oleander.motion.Excerpt;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.proof.Proof;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.format.Formats;
import dev.oleander.web.format.SavedFormat;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.result.JobResult;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Puts together what a release keeps of a run. */
@Component
class ReleaseContents {

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();

    private final ShopSheet shopSheet;
    private final Formats formats;

    ReleaseContents(ShopSheet shopSheet, Formats formats) {
        this.shopSheet = shopSheet;
        this.formats = formats;
    }

    Release.Content of(ProgramPreview preview, ReleaseWish wish, SignedIn who, Instant now) {
        JobResult result = preview.job().result();
        List<Integer> items = preview.checked().written().itemOfLine();
        Timeline timeline = result.timeline();
        if (wish.isTrial()) {
            Excerpt part =
                    Excerpt.of(timeline.program(), Set.copyOf(wish.stops())::contains, false);
            items = within(part, items);
            timeline = new TimeModel(result.machine()).time(part.program());
        }
        return new Release.Content(
                preview.fileName(),
                preview.checked().written().text(),
                JSON.writeValueAsString(items),
                JSON.writeValueAsString(inputs(result, wish, preview)),
                JSON.writeValueAsString(findings(result.proof())),
                KeptMotion.packed(timeline.program()),
                shopSheet.write(preview, timeline, Set.copyOf(wish.stops()), who.fullName(), now),
                preview.checked().deviation(),
                timeline.total(),
                JSON.writeValueAsString(preview.texts().lines()),
                wish.isTrial(),
                result.number(),
                result.setUp().count());
    }

    /** Positions in a part of the motion instead of the whole. */
    private static List<Integer> within(Excerpt part, List<Integer> items) {
        Map<Integer, Integer> places = new HashMap<>();
        for (int i = 0; i < part.itemOf().size(); i++) {
            places.put(part.itemOf().get(i), i);
        }
        return items.stream().map(i -> i < 0 ? -1 : places.getOrDefault(i, -1)).toList();
    }

    /** Everything the program was made from, so that it can be understood without today's data. */
    private Map<String, Object> inputs(JobResult result, ReleaseWish wish, ProgramPreview preview) {
        Map<String, Object> inputs = new LinkedHashMap<>();
        inputs.put("fingerprint", DocumentJson.fingerprint(result.document()));
        inputs.put("dataFingerprint", result.dataFingerprint());
        inputs.put("document", result.document());
        inputs.put("machine", result.machine());
        inputs.put("cutData", result.dataInUse());
        inputs.put("stock", result.run().layout().stock());
        result.run()
                .layout()
                .outline()
                .ifPresent(
                        outline ->
                                inputs.put(
                                        "outline",
                                        outline.contours().stream().map(Loop::of).toList()));
        inputs.put("placements", result.run().layout().placements());
        inputs.put("format", format(result.dialect()));
        inputs.put("frame", preview.frame());
        inputs.put("parameters", wish.parameters());
        inputs.put("stops", wish.stops());
        inputs.put("runs", result.runs().size());
        inputs.put("heads", result.setUp().heads());
        return inputs;
    }

    private String format(Dialect dialect) {
        return formats.latest(dialect.name()).map(SavedFormat::description).orElse("");
    }

    private static List<Map<String, Object>> findings(Proof proof) {
        return proof.findings().stream()
                .map(
                        f -> {
                            Map<String, Object> finding = new LinkedHashMap<>();
                            finding.put("rule", f.rule());
                            finding.put("severity", f.severity().word());
                            finding.put("stop", f.stop());
                            finding.put("stops", f.alike());
                            finding.put("sentence", f.sentence());
                            finding.put("accepted", f.accepted().orElse(null));
                            return finding;
                        })
                .toList();
    }
}
