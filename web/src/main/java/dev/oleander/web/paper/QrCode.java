package dev.oleander.web.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Map;

/** A QR code as an SVG element. */
public final class QrCode {

    private QrCode() {}

    /**
     * @throws IllegalArgumentException when the text is too long for a code
     */
    public static String svg(String text) {
        BitMatrix dots;
        try {
            dots =
                    new QRCodeWriter()
                            .encode(
                                    text,
                                    BarcodeFormat.QR_CODE,
                                    1,
                                    1,
                                    Map.of(EncodeHintType.MARGIN, 2));
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException(text, tooLong);
        }
        StringBuilder svg = new StringBuilder();
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 ")
                .append(dots.getWidth() + " " + dots.getHeight())
                .append("\"><path fill=\"#000000\" d=\"");
        for (int y = 0; y < dots.getHeight(); y++) {
            for (int x = 0; x < dots.getWidth(); x++) {
                if (dots.get(x, y)) {
                    svg.append("M%d %dh1v1h-1z".formatted(x, y));
                }
            }
        }
        return svg.append("\"/></svg>").toString();
    }
}
