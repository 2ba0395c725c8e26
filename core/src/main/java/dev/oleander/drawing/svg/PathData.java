package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.UnreadableException;

/** Follows the commands of path data (SVG 1.1, 8.3). */
final class PathData {

    private final Scanner scanner;
    private final PathWriter writer;

    /** The control point that a smooth command mirrors. */
    private double controlX;

    private double controlY;
    private char before = 'M';

    PathData(String text, PathWriter writer) {
        this.scanner = new Scanner(text, "path data");
        this.writer = writer;
    }

    /**
     * @throws UnreadableException when it is not path data; what was drawn up to there stays
     */
    void draw() {
        if (!scanner.hasMore()) {
            return;
        }
        char command = scanner.next();
        if ((command | 32) != 'm') {
            throw scanner.broken();
        }
        while (true) {
            follow(command);
            before = command;
            if (!scanner.hasMore()) {
                return;
            }
            if (!scanner.isAtNumber()) {
                command = scanner.next();
            } else if ((command | 32) == 'z') {
                throw scanner.broken();
            } else if ((command | 32) == 'm') {
                command = command == 'm' ? 'l' : 'L';
            }
        }
    }

    private void follow(char command) {
        boolean relative = Character.isLowerCase(command);
        double x = relative ? writer.x() : 0;
        double y = relative ? writer.y() : 0;
        switch (Character.toLowerCase(command)) {
            case 'm' -> writer.move(x + scanner.number(), y + scanner.number());
            case 'l' -> writer.line(x + scanner.number(), y + scanner.number());
            case 'h' -> writer.line(x + scanner.number(), writer.y());
            case 'v' -> writer.line(writer.x(), y + scanner.number());
            case 'c' -> {
                double firstX = x + scanner.number();
                double firstY = y + scanner.number();
                cubic(firstX, firstY, x, y);
            }
            case 's' -> cubic(mirroredX("cs"), mirroredY("cs"), x, y);
            case 'q' -> {
                double cx = x + scanner.number();
                double cy = y + scanner.number();
                quadratic(cx, cy, x, y);
            }
            case 't' -> quadratic(mirroredX("qt"), mirroredY("qt"), x, y);
            case 'a' -> arc(x, y);
            case 'z' -> writer.closePath();
            default -> throw scanner.broken();
        }
    }

    private double mirroredX(String kinds) {
        boolean follows = kinds.indexOf(Character.toLowerCase(before)) >= 0;
        return follows ? 2 * writer.x() - controlX : writer.x();
    }

    private double mirroredY(String kinds) {
        boolean follows = kinds.indexOf(Character.toLowerCase(before)) >= 0;
        return follows ? 2 * writer.y() - controlY : writer.y();
    }

    private void cubic(double firstX, double firstY, double x, double y) {
        controlX = x + scanner.number();
        controlY = y + scanner.number();
        double endX = x + scanner.number();
        double endY = y + scanner.number();
        writer.cubic(firstX, firstY, controlX, controlY, endX, endY);
    }

    private void quadratic(double cx, double cy, double x, double y) {
        controlX = cx;
        controlY = cy;
        double startX = writer.x();
        double startY = writer.y();
        double endX = x + scanner.number();
        double endY = y + scanner.number();
        writer.cubic(
                startX + 2 * (cx - startX) / 3,
                startY + 2 * (cy - startY) / 3,
                endX + 2 * (cx - endX) / 3,
                endY + 2 * (cy - endY) / 3,
                endX,
                endY);
    }

    private void arc(double x, double y) {
        double rx = scanner.number();
        double ry = scanner.number();
        double turn = Math.toRadians(scanner.number());
        boolean large = scanner.flag();
        boolean sweep = scanner.flag();
        writer.ellipticalArc(
                rx, ry, turn, large, sweep, x + scanner.number(), y + scanner.number());
    }
}
