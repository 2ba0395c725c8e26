package dev.oleander.web.library;

import dev.oleander.machine.MachineLibrary;
import dev.oleander.price.PriceList;
import dev.oleander.proof.Prover;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The machines and dialects that ship with the application. */
@Configuration
class LibraryConfig {

    @Bean
    MachineLibrary machineLibrary() {
        return MachineLibrary.shipped();
    }

    @Bean
    PriceList priceList() {
        return PriceList.shipped();
    }

    @Bean
    Prover prover() {
        return Prover.withAllRules();
    }
}
