package dev.oleander.web.letter;

import dev.oleander.drawing.draw.Supplies;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The fonts and pictures of the shop, for steps of drawings. */
@Configuration
class DrawnWith {

    @Bean
    Supplies supplies(Fonts fonts, Pictures pictures) {
        return new Supplies(fonts, pictures);
    }
}
