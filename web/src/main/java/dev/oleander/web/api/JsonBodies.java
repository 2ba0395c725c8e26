package dev.oleander.web.api;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How bodies of calls are read. */
@Configuration
class JsonBodies {

    /** A list with nothing in one of its places is a mistake of the caller. */
    @Bean
    JsonMapperBuilderCustomizer noEmptyPlaces() {
        return mapper ->
                mapper.changeDefaultNullHandling(usual -> usual.withContentNulls(Nulls.FAIL));
    }
}
