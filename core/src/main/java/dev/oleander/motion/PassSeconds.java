package dev.oleander.motion;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** How long the process works in every pass of every stop. */
public final class PassSeconds {

    private final Map<String, Map<Integer, Double>> seconds = new HashMap<>();

    private PassSeconds() {}

    public static PassSeconds of(Timeline timeline) {
        PassSeconds sums = new PassSeconds();
        List<Item> items = timeline.program().items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof Item.AtFeed feed && feed.on()) {
                double begin = i == 0 ? 0 : timeline.ends()[i - 1];
                Origin origin = feed.origin();
                sums.seconds
                        .computeIfAbsent(origin.stop(), s -> new HashMap<>())
                        .merge(origin.pass(), timeline.ends()[i] - begin, Double::sum);
            }
        }
        return sums;
    }

    /**
     * @param pass from 1
     * @return 0 when there is no such pass
     */
    public double of(String stop, int pass) {
        return seconds.getOrDefault(stop, Map.of()).getOrDefault(pass, 0.0);
    }
}
