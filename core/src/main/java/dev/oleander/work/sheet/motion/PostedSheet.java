package dev.oleander.work.sheet.motion;

import dev.oleander.drawing.read.Feature;
import dev.oleander.motion.Item;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.plan.Run;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The program that is written for a sheet, where a controller offsets some of its paths. */
public final class PostedSheet {

    private PostedSheet() {}

    /**
     * @param head motion of the same run, as the head moves
     */
    public static PostedProgram of(Run run, Map<String, Feature> features, Program head) {
        Run posted = new PostedRun(features).of(run);
        if (posted == run) {
            List<Integer> same = new ArrayList<>(head.size());
            for (int i = 0; i < head.size(); i++) {
                same.add(i);
            }
            return new PostedProgram(head, same);
        }
        Program program = new ProgramCompiler().compile(posted);
        return new PostedProgram(program, matched(program, head));
    }

    /** The n-th item of a stop belongs to the n-th of the head there, or to its last. */
    private static List<Integer> matched(Program program, Program head) {
        Map<String, List<Integer>> ofStop = new HashMap<>();
        for (int i = 0; i < head.size(); i++) {
            String stop = head.items().get(i).origin().stop();
            ofStop.computeIfAbsent(stop, s -> new ArrayList<>()).add(i);
        }
        Map<String, Integer> seen = new HashMap<>();
        List<Integer> matched = new ArrayList<>(program.size());
        for (Item item : program.items()) {
            List<Integer> there = ofStop.get(item.origin().stop());
            int nth = seen.merge(item.origin().stop(), 1, Integer::sum) - 1;
            matched.add(there.get(Math.min(nth, there.size() - 1)));
        }
        return matched;
    }
}
