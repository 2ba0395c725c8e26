package dev.oleander.web.release;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Verifies all releases for the start script, says what was found, and ends: with 0 when all is
 * intact, else with 1.
 */
@Component
@ConditionalOnProperty(name = "oleander.task", havingValue = "verify")
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class VerifyTask implements ApplicationRunner {

    private final Verifier verifier;
    private final ApplicationContext context;

    VerifyTask(Verifier verifier, ApplicationContext context) {
        this.verifier = verifier;
        this.context = context;
    }

    @Override
    @SuppressWarnings("SystemOut")
    public void run(ApplicationArguments arguments) {
        Verifier.Shop shop = verifier.shop();
        shop.faults().forEach(System.out::println);
        if (shop.more() > 0) {
            System.out.println("and %d more".formatted(shop.more()));
        }
        System.out.println(
                shop.intact()
                        ? "All %d releases are as they were made.".formatted(shop.releases())
                        : "Not all releases are as they were made.");
        System.exit(SpringApplication.exit(context, () -> shop.intact() ? 0 : 1));
    }
}
