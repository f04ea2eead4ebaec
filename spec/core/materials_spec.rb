# frozen_string_literal: true

require "json_schemer"

# docs/materials.cdx.json: what Tile Loom is made of, as others read it.
RSpec.describe "The software bill of materials" do
  let(:materials) { JSON.parse(File.read(File.join(TileLoom::ROOT, "docs/materials.cdx.json"))) }
  let(:components) { materials["components"] }

  # CycloneDX's own schema (ECMA-424), which comes with its library for JavaScript.
  it "is valid by the schema of CycloneDX 1.6" do
    folder = File.join(TileLoom::ROOT, "web/node_modules/@cyclonedx/cyclonedx-library/res/schema")
    read = ->(name) { JSON.parse(File.read(File.join(folder, name))) }
    schema =
      JSONSchemer.schema(
        read.call("bom-1.6.SNAPSHOT.schema.json"),
        ref_resolver: ->(uri) { read.call(File.basename(uri.path)) }
      )
    expect(schema.validate(materials).map { |error| error["error"] }).to eq([])
    expect(schema.valid?(materials.merge("bomFormat" => "none"))).to be(false)
  end

  it "has all that is asked for by name, with what is shipped apart from what is built and tested with" do
    gems = File.read(File.join(TileLoom::ROOT, "Gemfile")).scan(/^( *)gem "([^"]+)"/)
    packages = JSON.parse(File.read(File.join(TileLoom::ROOT, "web/package.json")))
    asked = gems.to_h { |indent, name| ["pkg:gem/#{name}", indent.empty?] }
    {"dependencies" => true, "devDependencies" => false}.each do |key, shipped|
      asked.merge!(packages[key].keys.to_h { |name| ["pkg:npm/#{name.sub("@", "%40")}", shipped] })
    end
    known = components.map { |one| [one["purl"].sub(/(?<=.)@[^@]*\z/, ""), one["scope"] == "required"] }
    asked["pkg:deb/debian/gdal-bin"], asked["pkg:deb/debian/chromium"] = true, false
    expect(asked.to_a - known).to eq([])
  end

  # Of those with a choice of licences one will do. pdf-core and TTFunk are under Ruby's own terms, which they do not
  # call by a name of SPDX.
  it "ships nothing under a licence that would ask more of Tile Loom than its name" do
    free = /MIT|BSD|Apache-2\.0|ISC|Ruby|Zlib|CC0|OFL|Nonstandard/
    shipped = components.select { |one| one["scope"] == "required" && !one["purl"].start_with?("pkg:deb") }
    others =
      shipped.reject do |one|
        (one["licenses"] || []).any? { |own| own["license"].values_at("id", "name").compact.first.match?(free) }
      end
    expect([shipped.length > 100, others.map { |one| one["name"] }]).to eq([true, []])
  end
end
