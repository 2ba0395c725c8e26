package dev.oleander.web.product;

import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.demo.DemoJobs;
import dev.oleander.web.demo.DemoWork;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** A locker of ten bodies, of which nothing is made yet. */
@Component
@Order(9)
class ProductDemo implements DemoWork {

    private static final String FILE = "/demo/router/panels/galley_locker.product.json";

    private final Products products;

    ProductDemo(Products products) {
        this.products = products;
    }

    @Override
    public void make(DemoJobs jobs, SignedIn by, SignedIn other) {
        try (InputStream in = ProductDemo.class.getResourceAsStream(FILE)) {
            String json = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            products.make(ProductReader.parse(json), by);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
