package dev.oleander.web.api;

import dev.oleander.web.api.ApiJson.WorkJson;

/** What was asked for is being made: it is told where to ask how far it is. */
final class NotYetException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String address;
    private final transient WorkJson work;

    /**
     * @param address where to ask how far it is
     */
    NotYetException(String address, WorkJson work) {
        super("it is under way: " + address);
        this.address = address;
        this.work = work;
    }

    String address() {
        return address;
    }

    WorkJson work() {
        return work;
    }
}
