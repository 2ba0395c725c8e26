package dev.oleander.work.router.motion;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.Program;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterMachines;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.plan.Conditions;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterRequests;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The program of a sample, made on the router that ships. */
public record MadeProgram(RouterTask task, List<RouterStop> stops, Program program) {

    public static final MachineLibrary LIBRARY = MachineLibrary.of(List.of(new RouterMachines()));
    public static final Machine HAZEL = LIBRARY.machines().get(0);
    public static final RouterUnit UNIT = RouterUnit.of(HAZEL);
    public static final RouterBook BOOK = (RouterBook) LIBRARY.book(HAZEL);

    public static MadeProgram of(String name) {
        byte[] bytes = Samples.bytes("router/" + name + ".truth.json");
        JsonNode truth = JsonMapper.shared().readTree(new String(bytes, StandardCharsets.UTF_8));
        Reading reading = Samples.reading("router/" + name);
        RouterTask task = RouterRequests.task(reading, truth.get("request"));
        List<RouterStop> stops = RouterPlanner.plan(task, Progress.NONE);
        String material = truth.at("/job/material").asString();
        Conditions conditions = new Conditions(task, BOOK, material, UNIT);
        assertThat(conditions.unknown(stops)).isEmpty();
        return new MadeProgram(task, stops, RouterMotion.of(stops, UNIT, conditions::of));
    }
}
