package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.regex.Pattern;

/** Where somebody wanted to go before signing in: a page of this application, never elsewhere. */
final class LocalPath {

    /** Name of the parameter. */
    static final String NAME = "to";

    private static final int LONGEST = 2_000;

    /** Browsers read a second slash, and a backslash as one, as the begin of a host. */
    private static final Pattern LOCAL = Pattern.compile("/(?![/\\\\])[\\x21-\\x7e&&[^\\\\]]*");

    private LocalPath() {}

    /** What a request asked for, when that is a page and no part of one; else the board. */
    static String of(HttpServletRequest request) {
        boolean page =
                request.getMethod().equals("GET")
                        && request.getHeader("HX-Request") == null
                        && String.valueOf(request.getHeader("Accept")).contains("text/html");
        String query = request.getQueryString();
        return page ? checked(request.getRequestURI() + (query == null ? "" : "?" + query)) : "/";
    }

    /** A path as it is when it is one of this application, else that of the board. */
    static String checked(String path) {
        return path != null && path.length() <= LONGEST && LOCAL.matcher(path).matches()
                ? path
                : "/";
    }
}
