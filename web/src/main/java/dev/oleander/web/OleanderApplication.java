package dev.oleander.web;

import java.util.Locale;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** The web application: pages, HTTP interface and persistence over the core. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class OleanderApplication {

    public static void main(String[] args) {
        // programs and tables use decimal points whatever the machine's language is
        Locale.setDefault(Locale.ROOT);
        SpringApplication.run(OleanderApplication.class, args);
    }
}
