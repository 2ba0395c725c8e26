/** Pictures and sheets for paper: path data of SVG, and PDF made from templates. */
package dev.oleander.web.paper;
