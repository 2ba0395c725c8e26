#!/usr/bin/env python3
"""Writes NOTICE from the bill of materials that the build makes (web/target/classes/META-INF/sbom)."""

import collections
import json
import pathlib

TOP = pathlib.Path(__file__).resolve().parent.parent
BILL = TOP / "web/target/classes/META-INF/sbom/application.cdx.json"

HEAD = """Oleander ships with the libraries, scripts and fonts below. Each belongs to its authors and keeps its own
licence; the texts of the licences lie in the archives of the libraries (META-INF) and beside the fonts.
The versions stand in the bill of materials of the application (META-INF/sbom/application.cdx.json,
CycloneDX), which the build makes.
"""

FONTS = """
SIL Open Font License 1.1
  Commissioner (web/src/main/resources/static/fonts, web/src/main/resources/fonts)
  Source Code Pro (web/src/main/resources/static/fonts, web/src/main/resources/fonts)
  Barlow Condensed, Nunito, Zilla Slab, Dancing Script, Stardos Stencil, Allerta Stencil (web/src/main/resources/fonts)

Any use, with its acknowledgements (core/src/main/resources/dev/oleander/drawing/letter/hershey-LICENSE.txt)
  Hershey roman and script: the Hershey Fonts were originally created by Dr. A. V. Hershey while working at the U. S. National
  Bureau of Standards; the format of the font data was originally created by James Hurt, Cognition, Inc.,
  900 Technology Park Drive, Billerica, MA 01821 (mit-eddie!ci-dandelion!hurt)
"""


def licence(component):
    names = []
    for entry in component.get("licenses", []):
        of = entry.get("license", {})
        names.append(entry.get("expression") or of.get("id") or of.get("name"))
    return " or ".join(names) or "not stated"


def main():
    by_licence = collections.defaultdict(list)
    for component in json.loads(BILL.read_text())["components"]:
        if component.get("group") != "dev.oleander":
            by_licence[licence(component)].append(f"{component.get('group', '')}:{component['name']}")
    text = HEAD
    for name in sorted(by_licence):
        text += f"\n{name}\n" + "".join(f"  {c}\n" for c in sorted(set(by_licence[name])))
    (TOP / "NOTICE").write_text(text + FONTS)


main()
