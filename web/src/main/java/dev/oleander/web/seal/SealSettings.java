package dev.oleander.web.seal;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where what is kept outside of the database lies.
 *
 * @param folder of the keys and of the head of the chain
 */
@ConfigurationProperties("oleander.seals")
public record SealSettings(String folder) {}
