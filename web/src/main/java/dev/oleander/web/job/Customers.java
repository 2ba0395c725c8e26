package dev.oleander.web.job;

import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.ShapeChoices;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * Remembers for each customer what was decided last about unit and purposes, and proposes it for
 * the next job.
 */
@Component
public class Customers {

    private final CustomerRepository customers;
    private final Clock clock;

    Customers(CustomerRepository customers, Clock clock) {
        this.customers = customers;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<String> names() {
        return customers.names();
    }

    /** A document with the conventions of its customer, where nothing else was decided. */
    JobDocument propose(JobDocument document) {
        Optional<Customer> known = customers.findById(document.order().customer());
        if (document.order().customer().isEmpty() || known.isEmpty()) {
            return document;
        }
        Customer customer = known.get();
        ShapeChoices shape = document.shape();
        if (shape.unit() == null && customer.unit() != null) {
            shape = shape.withUnit(LengthUnit.ofSymbol(customer.unit()).orElse(null));
        }
        if (shape.rules().equals(PurposeRules.NONE)) {
            shape =
                    shape.withRules(
                            JsonMapper.shared().readValue(customer.rules(), PurposeRules.class));
        }
        return document.withShape(shape);
    }

    /** Takes over what an edit decided about unit or purposes. */
    @Transactional
    void learn(JobDocument before, JobDocument after) {
        String name = after.order().customer();
        boolean same =
                before.shape().rules().equals(after.shape().rules())
                        && before.shape().unit() == after.shape().unit()
                        && before.order().customer().equals(name);
        boolean nothing =
                after.shape().rules().equals(PurposeRules.NONE) && after.shape().unit() == null;
        if (name.isEmpty() || same || (nothing && !customers.existsById(name))) {
            return;
        }
        Customer customer = customers.findById(name).orElseGet(() -> new Customer(name));
        String unit = after.shape().unit() == null ? null : after.shape().unit().symbol();
        customer.learn(
                unit,
                JsonMapper.shared().writeValueAsString(after.shape().rules()),
                clock.instant());
        customers.save(customer);
    }
}
