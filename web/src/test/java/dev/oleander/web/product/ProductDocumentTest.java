package dev.oleander.web.product;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

class ProductDocumentTest {

    /** Steps stay readable for ever. */
    @Test
    void whatAnEarlierStepDoesNotKnowIsAsUsual() {
        ProductDocument plain = ProductDocument.of(null, "hazel");
        ObjectNode earlier = (ObjectNode) Products.JSON.valueToTree(plain);
        assertThat(earlier.remove("boards")).isNotNull();
        assertThat(earlier.remove("trim")).isNotNull();
        ProductDocument read = Products.JSON.treeToValue(earlier, ProductDocument.class);
        assertThat(read).isEqualTo(plain);
        assertThat(read.boards()).isFalse();
    }
}
