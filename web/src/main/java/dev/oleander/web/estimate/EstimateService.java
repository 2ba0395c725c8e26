package dev.oleander.web.estimate;

import dev.oleander.book.Book;
import dev.oleander.book.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.price.Estimate;
import dev.oleander.price.Estimator;
import dev.oleander.price.Estimator.Lot;
import dev.oleander.price.Estimator.Sheets;
import dev.oleander.price.PriceList;
import dev.oleander.progress.Progress;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;

/** Plans a job on every machine, as if it were to be made there, and prices what comes of it. */
@Service
class EstimateService {

    private final JobComputer computer;
    private final Planning planning;
    private final MachineLibrary machines;
    private final Books books;
    private final Estimator estimator;

    EstimateService(
            JobComputer computer,
            Planning planning,
            MachineLibrary machines,
            Books books,
            PriceList prices) {
        this.books = books;
        this.computer = computer;
        this.planning = planning;
        this.machines = machines;
        this.estimator = new Estimator(prices);
    }

    /** Names of what is compared: every machine in the order of the library, then punching. */
    List<String> names() {
        List<String> names = new ArrayList<>();
        machines.machines().forEach(m -> names.add(m.name()));
        names.add(estimator.puncher());
        return names;
    }

    /** One of those by its place in {@link #names}. */
    Estimate at(int place, JobDocument document, int quantity, Progress progress) {
        return place < machines.machines().size()
                ? cut(document, machines.machines().get(place), quantity, progress)
                : punched(document, quantity, progress);
    }

    /** On one machine, in turn with all other plans, so that many leave room for pages. */
    Estimate cut(JobDocument document, Machine machine, int quantity) {
        return cut(document, machine, quantity, planning::aside);
    }

    private Estimate cut(JobDocument document, Machine machine, int quantity, Progress progress) {
        return cut(document, machine, quantity, result -> result.plan(progress));
    }

    private Estimate cut(
            JobDocument document, Machine machine, int quantity, Consumer<JobResult> planner) {
        try {
            JobResult result = computer.result(on(document, machine, quantity));
            planner.accept(result);
            return estimator.cut(lot(result, Math.max(1, result.demand().all())), sheets(result));
        } catch (CutDataException | PlanException cannot) {
            return impossible(machine, cannot.getMessage());
        }
    }

    private static List<Sheets> sheets(JobResult result) {
        return result.runs().stream()
                .map(
                        run ->
                                new Sheets(
                                        run.run(),
                                        run.timeline(),
                                        run.plan().running(),
                                        run.setUp()))
                .toList();
    }

    private static Estimate impossible(Machine machine, String why) {
        return Estimate.impossible(machine.name(), machine.process(), machine.id(), why);
    }

    /**
     * @throws CutDataException when the machine has no data for material and thickness
     */
    private JobDocument on(JobDocument document, Machine machine, int quantity) {
        JobDocument.Order order = document.order().withMachine(machine.id()).withQuantity(quantity);
        return suited(document.withOrder(order), Kinds.of(machine), books.of(machine));
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> JobDocument suited(
            JobDocument document, Work<C, S> kind, Book<?> book) {
        double thickness = document.thickness().value();
        return document.changed(kind, c -> kind.suited(c, book, document.material(), thickness));
    }

    private Estimate punched(JobDocument document, int quantity, Progress progress) {
        JobDocument counted = document.withOrder(document.order().withQuantity(quantity));
        JobResult result = computer.result(counted);
        try {
            result.plan(progress);
            return estimator.punch(lot(result, quantity), result.run().layout());
        } catch (PlanException cannot) {
            return Estimate.impossible("", "punching", "", cannot.getMessage());
        }
    }

    private static Lot lot(JobResult result, int quantity) {
        JobDocument document = result.document();
        return new Lot(
                result.reading(), document.material(), document.thickness().value(), quantity);
    }
}
