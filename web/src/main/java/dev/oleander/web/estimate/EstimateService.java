package dev.oleander.web.estimate;

import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.machine.WireBook;
import dev.oleander.plan.PlanException;
import dev.oleander.price.Estimate;
import dev.oleander.price.Estimator;
import dev.oleander.price.Estimator.Lot;
import dev.oleander.price.PriceList;
import dev.oleander.web.book.CutBooks;
import dev.oleander.web.book.WireBooks;
import dev.oleander.web.job.JobComputer;
import dev.oleander.web.job.JobDocument;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.Planning;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Plans a job on every machine, as if it were to be made there, and prices what comes of it. */
@Service
class EstimateService {

    private final JobComputer computer;
    private final Planning planning;
    private final MachineLibrary machines;
    private final CutBooks books;
    private final WireBooks wireBooks;
    private final Estimator estimator;

    EstimateService(
            JobComputer computer,
            Planning planning,
            MachineLibrary machines,
            CutBooks books,
            WireBooks wireBooks,
            PriceList prices) {
        this.books = books;
        this.wireBooks = wireBooks;
        this.computer = computer;
        this.planning = planning;
        this.machines = machines;
        this.estimator = new Estimator(prices);
    }

    /** Estimates for a quantity: every machine in the order of the library, then punching. */
    List<Estimate> all(JobDocument document, int quantity) {
        List<Estimate> all = new ArrayList<>();
        for (Machine machine : machines.machines()) {
            all.add(cut(document, machine, quantity));
        }
        all.add(punched(document, quantity));
        return all;
    }

    /** On one machine. */
    Estimate cut(JobDocument document, Machine machine, int quantity) {
        try {
            JobResult result = planned(on(document, machine, quantity));
            Lot lot = lot(result, quantity);
            return estimator.cut(lot, result.run(), result.timeline());
        } catch (CutDataException | PlanException cannot) {
            return impossible(machine, cannot.getMessage());
        }
    }

    /** In turn with all other plans, so that many estimates leave room for pages. */
    private JobResult planned(JobDocument document) {
        JobResult result = computer.result(document);
        planning.aside(result);
        return result;
    }

    private static Estimate impossible(Machine machine, String why) {
        return Estimate.impossible(machine.name(), machine.process(), machine.id(), why);
    }

    /**
     * @throws CutDataException when the machine has no data for material and thickness
     */
    private JobDocument on(JobDocument document, Machine machine, int quantity) {
        JobDocument.Order order = document.order().withMachine(machine.id()).withQuantity(quantity);
        if (machine.hasWire()) {
            WireBook wires = wireBooks.of(machine);
            String wire = wires.wires().get(0);
            List<String> finishes = wires.finishes(wire, document.material());
            String finish = finishes.isEmpty() ? "" : finishes.get(0);
            wires.find(wire, document.material(), document.thickness().value(), finish);
            return document.withOrder(order);
        }
        CutBook book = books.of(machine);
        List<String> qualities = book.qualities(document.material(), document.thickness().value());
        String wanted = document.plan().quality();
        if (qualities.isEmpty()) {
            book.find(document.material(), document.thickness().value(), wanted);
        }
        String quality =
                qualities.contains(wanted) || qualities.isEmpty() ? wanted : qualities.get(0);
        return document.withOrder(order).withPlan(document.plan().withQuality(quality));
    }

    private Estimate punched(JobDocument document, int quantity) {
        JobDocument counted = document.withOrder(document.order().withQuantity(quantity));
        JobResult result = computer.result(counted);
        try {
            planning.aside(result);
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
