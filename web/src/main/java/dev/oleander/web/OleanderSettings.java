package dev.oleander.web;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings of this installation.
 *
 * @param demo whether demo accounts and jobs are made on an empty database
 * @param firstPassword password of the first account outside demo mode; empty: none is made
 * @param mostCopies limit of the quantity of a job
 * @param patience how long a page waits for a plan before it shows that one is being made
 */
@ConfigurationProperties("oleander")
public record OleanderSettings(
        boolean demo, String firstPassword, int mostCopies, Duration patience) {}
