package dev.oleander.web;

import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** Another node of the application on the same database. */
public final class SecondNode implements AutoCloseable {

    private final ConfigurableApplicationContext application;

    private SecondNode(ConfigurableApplicationContext application) {
        this.application = application;
    }

    /**
     * @param settings as on a command line, without dashes
     */
    public static SecondNode start(String... settings) {
        List<String> all = new ArrayList<>(List.of("--server.port=0", "--oleander.demo=true"));
        for (String setting : settings) {
            all.add("--" + setting);
        }
        return new SecondNode(
                new SpringApplicationBuilder(OleanderApplication.class)
                        .run(all.toArray(String[]::new)));
    }

    public int port() {
        return Integer.parseInt(application.getEnvironment().getProperty("local.server.port"));
    }

    @Override
    public void close() {
        application.close();
    }
}
