# frozen_string_literal: true

# The objects of a PDF as qpdf reads them (its JSON, version 2), an independent reader.
class PdfObjects
  def initialize(path, password: nil)
    command = ["qpdf", *(password ? ["--password=#{password}"] : []), "--json=2", "--json-key=qpdf", path]
    out, status = Open3.capture2(*command)
    raise "qpdf could not read #{path}" unless status.success?
    @head, @objects = JSON.parse(out).fetch("qpdf")
  end

  def version = @head.fetch("pdfversion")

  def trailer = @objects.fetch("trailer").fetch("value")

  def catalogue = get(trailer["/Root"])

  # What a reference leads to; other values as they are.
  def get(value)
    return value unless value.is_a?(String) && value.match?(/\A\d+ \d+ R\z/)
    entry = @objects.fetch("obj:#{value}")
    entry["value"] || entry["stream"]["dict"]
  end

  # All dictionaries.
  def all = @objects.except("trailer").values.map { |entry| entry["value"] || entry.dig("stream", "dict") }.grep(Hash)

  def of_type(name) = all.select { |object| object["/Type"] == name }

  def pages = kids(catalogue["/Pages"])

  # References to the pages, in order.
  def page_references(node = catalogue["/Pages"])
    found = get(node)
    found["/Kids"] ? found["/Kids"].flat_map { |kid| page_references(kid) } : [node]
  end

  # A text without qpdf's mark of how it was written.
  def self.text(value) =
    value&.delete_prefix("u:")&.then { |text| text.start_with?("b:") ? [text[2..]].pack("H*") : text }

  def text(value) = self.class.text(value)

  # name → destination
  def destinations =
    get(get(catalogue["/Names"])["/Dests"])["/Names"].each_slice(2).to_h { |name, place| [text(name), get(place)] }

  # [title, kids] of the outline.
  def bookmarks(node = get(catalogue["/Outlines"]))
    found = []
    item = node["/First"]
    while item
      entry = get(item)
      found << [text(entry["/Title"]), entry["/First"] ? bookmarks(entry) : []]
      item = entry["/Next"]
    end
    found
  end

  private

  def kids(node) = page_references(node).map { |reference| get(reference) }
end
