package dev.oleander.web.letter;

import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.longwork.WorkKind;
import dev.oleander.web.longwork.WorkProgress;
import dev.oleander.web.longwork.WorkState;
import dev.oleander.web.longwork.Works;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Line work of large pictures, made while people see how far it is. */
@Component
public class TraceWork implements WorkKind {

    private static final WorkState AT_HAND = new WorkState("", WorkState.Phase.DONE, 1, "");
    private static final String NONE = "-";

    private final Pictures pictures;
    private final Works works;

    TraceWork(Pictures pictures, Works works) {
        this.pictures = pictures;
        this.works = works;
    }

    /**
     * How far the line work of a picture is; it is wanted when nobody has it.
     *
     * @throws dev.oleander.drawing.picture.PictureException when there is no such picture
     */
    public WorkState want(String sha256, TraceSpec spec, SignedIn who) {
        // what another node did, or what is not kept any more, the edit makes by itself
        return pictures.isLong(sha256, spec) ? works.want(wish(sha256, spec, who)) : AT_HAND;
    }

    /** Nobody waits for it any more. */
    public void stop(String sha256, TraceSpec spec, SignedIn who) {
        works.forget(wish(sha256, spec, who));
    }

    private Works.Wish wish(String sha256, TraceSpec spec, SignedIn who) {
        String key = sha256 + "," + written(spec);
        return new Works.Wish(
                this, key, "trace " + Integer.toHexString(key.hashCode()), 1, who.id());
    }

    @Override
    public String word() {
        return "trace";
    }

    @Override
    public void run(String key, WorkProgress progress) {
        int comma = key.indexOf(',');
        pictures.trace(key.substring(0, comma), read(key.substring(comma + 1)), progress);
    }

    // ---- how it is traced, in few characters

    static String written(TraceSpec spec) {
        return Stream.of(
                        spec.mode(),
                        spec.threshold().map(String::valueOf).orElse(NONE),
                        spec.local(),
                        spec.invert(),
                        spec.smooth(),
                        spec.speckPx(),
                        spec.holePx(),
                        spec.tolerance().map(String::valueOf).orElse(NONE),
                        spec.corner(),
                        spec.polish().circles(),
                        spec.polish().axes())
                .map(String::valueOf)
                .collect(Collectors.joining(","));
    }

    static TraceSpec read(String written) {
        List<String> w = Arrays.asList(written.split(","));
        return new TraceSpec(
                TraceSpec.Mode.valueOf(w.get(0)),
                number(w.get(1)),
                Boolean.parseBoolean(w.get(2)),
                Boolean.parseBoolean(w.get(3)),
                Double.parseDouble(w.get(4)),
                Integer.parseInt(w.get(5)),
                Integer.parseInt(w.get(6)),
                number(w.get(7)),
                Double.parseDouble(w.get(8)),
                new TraceSpec.Polish(
                        Boolean.parseBoolean(w.get(9)), Boolean.parseBoolean(w.get(10))));
    }

    private static Optional<Double> number(String word) {
        return word.equals(NONE) ? Optional.empty() : Optional.of(Double.valueOf(word));
    }
}
