package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.work.Task;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Jobs on the router that ships, planned by the common seam. */
final class RouterJobs {

    static final MachineLibrary LIBRARY = MachineLibrary.shipped();
    static final Machine HAZEL = LIBRARY.find("Hazel").orElseThrow();
    private static final JsonMapper MAPPER = JsonMapper.shared();

    private RouterJobs() {}

    static JsonNode truth(String name) {
        byte[] bytes = Samples.bytes("router/" + name + ".truth.json");
        return MAPPER.readTree(new String(bytes, StandardCharsets.UTF_8));
    }

    /** What a request with known results wishes. */
    static RouterChoices wished(JsonNode request) {
        List<FlatTool> tools = new ArrayList<>();
        request.path("tools").forEach(t -> tools.add(MAPPER.treeToValue(t, FlatTool.class)));
        List<Wish> wishes = new ArrayList<>();
        request.path("operations").forEach(o -> wishes.add(MAPPER.treeToValue(o, Wish.class)));
        JsonNode stock = request.path("stock");
        Block block =
                stock.has("width")
                        ? new Block(
                                stock.get("length").asDouble(),
                                stock.get("width").asDouble(),
                                null,
                                null,
                                null)
                        : stock.has("diameter")
                                ? new Block(
                                        stock.get("length").asDouble(),
                                        null,
                                        stock.get("diameter").asDouble(),
                                        "x",
                                        null)
                                : null;
        return RouterChoices.NOTHING.withOperations(wishes, true).withTools(tools).withBlock(block);
    }

    static Task<RouterChoices> task(
            Reading reading,
            RouterChoices choices,
            String material,
            double thickness,
            int quantity) {
        return new Task<>(
                HAZEL,
                LIBRARY.book(HAZEL),
                reading,
                new Task.Order(material, thickness, quantity, 700),
                SheetChoices.usual(),
                choices);
    }

    static RouterRun run(Task<RouterChoices> task) {
        return (RouterRun) RouterMilling.ROUTER.plan(task, Optional.empty(), Progress.NONE);
    }

    /** A sample with known results, as it is requested. */
    static RouterRun requested(String name) {
        JsonNode truth = truth(name);
        return run(
                task(
                        Samples.reading("router/" + name),
                        wished(truth.get("request")),
                        truth.at("/job/material").asString(),
                        truth.at("/job/thickness").asDouble(),
                        1));
    }

    /** Nothing is refused, the program does nothing wrong, and its text reads as it was planned. */
    static void requireSound(RouterRun run) {
        assertThat(run.run().refused()).isEmpty();
        assertThat(run.faults()).isEmpty();
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.shipped().find("hazel").orElseThrow())
                        .write(run.posted().program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
    }
}
