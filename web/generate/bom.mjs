// The software bill of materials in CycloneDX 1.6: what Tile Loom is made of, and what it is built and tested with
// (scope "excluded"). On standard input {"gems": [{name, version, licences, shipped}], "debian": {"shipped": [names],
// "tests": [names]}}; the packages of the front end are those of package-lock.json. The same versions give the same
// text: no time, no number of its own.
import { readFileSync } from "node:fs";
import { json } from "node:stream/consumers";
import { Enums, Models, Serialize, SPDX, Spec } from "@cyclonedx/cyclonedx-library";

const { gems, debian } = await json(process.stdin);
const { packages } = JSON.parse(readFileSync(new URL("../package-lock.json", import.meta.url), "utf8"));

const licence = (text) => (SPDX.isSupportedSpdxId(text) ? new Models.SpdxLicense(text) : new Models.NamedLicense(text));

function component({ name, version, group, purl, licences = [], shipped }) {
  const made = new Models.Component(Enums.ComponentType.Library, name, {
    group,
    version,
    purl,
    bomRef: purl,
    scope: shipped ? Enums.ComponentScope.Required : Enums.ComponentScope.Excluded,
  });
  licences.forEach((text) => made.licenses.add(licence(text)));
  return made;
}

const fromGems = gems.map(({ name, version, licences, shipped }) =>
  component({ name, version, licences, shipped, purl: `pkg:gem/${name}@${version}` }),
);

const fromNpm = Object.entries(packages)
  .filter(([path]) => path !== "")
  .map(([path, { version, license, dev, optional, devOptional }]) => {
    const full = path.slice(path.lastIndexOf("node_modules/") + "node_modules/".length);
    const [name, group] = full.split("/").reverse();
    const purl = `pkg:npm/${group ? `${encodeURIComponent(group)}/` : ""}${name}@${version}`;
    return component({
      name,
      group,
      version,
      purl,
      licences: license ? [license] : [],
      // Types are gone once the front end is built, whoever asks for them.
      shipped: !dev && !optional && !devOptional && group !== "@types",
    });
  });

// Debian says which versions, and under which licences, on the machine itself.
const fromDebian = Object.entries(debian).flatMap(([use, names]) =>
  names.map((name) => component({ name, purl: `pkg:deb/debian/${name}`, shipped: use === "shipped" })),
);

const bom = new Models.Bom({ metadata: new Models.Metadata() });
bom.metadata.component = new Models.Component(Enums.ComponentType.Application, "Tile Loom", { bomRef: "tile-loom" });
// What is shipped at one place and tested with at another is shipped.
const [shipped, others] = [true, false].map((wanted) =>
  [...fromGems, ...fromNpm, ...fromDebian].filter(({ scope }) => (scope === Enums.ComponentScope.Required) === wanted),
);
new Map([...others, ...shipped].map((one) => [one.bomRef.value, one])).forEach((one) => bom.components.add(one));
const serializer = new Serialize.JsonSerializer(new Serialize.JSON.Normalize.Factory(Spec.Spec1dot6));
process.stdout.write(`${serializer.serialize(bom, { sortLists: true, space: 2 })}\n`);
