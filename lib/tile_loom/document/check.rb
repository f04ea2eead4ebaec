# frozen_string_literal: true

module TileLoom
  module Document
    # Everything that is wrong in a book document, each finding with the path of the offending value:
    # first its shape, then what the values mean together.
    class Check
      # Raises the first finding, if there is one.
      # attributes, enclosures, known: see below.
      def self.demand(settings, **given)
        found = new(settings, **given).findings.first
        raise found if found
      end

      # known: a document that was checked, whose parts this one may have in common with it, as the same objects.
      # attributes: layer id → {attribute → type}, to check conditions against; nil where not known.
      # enclosures: where the bytes of typefaces and pictures are.
      def initialize(settings, attributes: nil, enclosures: Assets::Enclosures.none, known: nil)
        @settings, @attributes, @enclosures, @known = settings, attributes, enclosures, known
      end

      # Refusal findings; empty when the book can be generated and printed. source: to check the index with,
      # or nil to leave the data out.
      def findings(source: nil)
        shape = Schema.findings(@settings, known: @known)
        return shape unless shape.empty?
        unread = collect { @book = Book.new(@settings, fits: true, enclosures: @enclosures) }
        return unread unless unread.empty?
        missing = enclosed
        return missing unless missing.empty?
        meaning = [*ids, *crowds, *fields, *references, *pages, *drawings, *conditions, *live_texts, *area, *date]
        meaning += generate(source) if meaning.empty? && source
        meaning
      end

      private

      def collect(path = nil)
        yield
        []
      rescue Refusal => error
        [path ? error.at(path) : error]
      end

      def contents = @book.contents

      def layouts = [contents.layout, contents.index_layout, *contents.pages.map(&:layout)].compact

      def elements = layouts.flat_map(&:elements)

      def frames = elements.select(&:gridded?)

      # Lists of which each entry has an id of its own.
      def ids
        lists = [contents.markers, contents.faces, contents.pictures, contents.profiles].zip(
          %w[/markers /faces /pictures /profiles]
        )
        lists += [[contents.layers, "/layers"], [contents.pages, "/pages"], [contents.notes.list, "/notes/list"]]
        lists += layouts.map { |layout| [layout.elements, "#{layout.path}/elements"] }
        lists += frames.map { |frame| [frame.grids, "#{frame.path}/grids"] }
        lists.flat_map { |list, path| duplicates(path, list) }
      end

      # Frames of one page, each of which is drawn as a map.
      MOST_FRAMES = 24

      def crowds
        layouts.filter_map do |layout|
          count = layout.elements.count(&:gridded?)
          next if count <= MOST_FRAMES
          Refusal.new("book.too_many_frames", count: count, most: MOST_FRAMES, at: "#{layout.path}/elements")
        end
      end

      # Two fields of one name would hide one another.
      def fields = duplicates("/fields", contents.fields, by: :name, code: "book.field_twice")

      def duplicates(path, list, by: :id, code: "book.id_twice")
        list
          .each_with_index
          .group_by { |item, _| item.public_send(by) }
          .each_value
          .flat_map { |found| found.drop(1) }
          .map { |item, index| Refusal.new(code, by => item.public_send(by), :at => "#{path}/#{index}/#{by}") }
      end

      # Typefaces and pictures that elements, grids and names ask for.
      def enclosed
        faces = [*elements, *contents.layers, *contents.notes.list].flat_map(&:typefaces)
        found = faces.flat_map { |path, key| collect(path) { @book.faces.face(key) } }
        found +
          elements.flat_map(&:pictures).flat_map { |path, id| collect(path) { @book.pictures.picture(id, path: path) } }
      end

      def references
        found = collect("/crs") { @book.crs }
        return found unless found.empty?
        frames.flat_map(&:grids).flat_map { |grid| collect("#{grid.path}/crs") { grid.check(@book.crs) } }
      end

      def pages
        found =
          collect("/layout") do
            contents.layout.main_frame
            contents.layout.elements.each { |element| element.box(contents.layout.page) }
          end
        found += index_page(contents.index_layout) if contents.index_layout
        found + contents.pages.flat_map { |page| free_page(page.layout) } + looks
      end

      def free_page(layout)
        collect(layout.path) do
          layout.elements.each do |element|
            refused = element.class.refused_on["pages"]
            raise Refusal.new(refused, at: element.path) if refused
            element.box(layout.page)
          end
        end
      end

      # Looks and references that frames ask for.
      def looks
        frames.flat_map do |frame|
          collect("#{frame.path}/look") { @book.layers_of(frame.look) if frame.look } +
            (frame.respond_to?(:crs_of) ? collect("#{frame.path}/crs") { frame.crs_of(@book) } : [])
        end
      end

      def index_page(layout)
        collect(layout.path) do
          layout.index_frame
          layout.elements.each do |element|
            raise Refusal.new("book.map_frame_on_index_sheet", at: element.path) if element.decides_cells?
            element.box(layout.page)
          end
        end
      end

      # Drawings that ship, or that are the book's own: of markers, north arrows.
      def drawings = [*elements, *contents.layers].flat_map { |value| collect(value.path) { value.check_drawings } }

      # Conditions, which must fit the layer's attributes.
      def conditions
        collect("/layers") do
          contents.layers.each do |layer|
            types = @attributes && @attributes[layer.id] or next
            [*layer.rules, *layer.labels].each { |rule| rule.condition&.check_types(types) }
          end
        end
      end

      def area = collect("/index/area") { contents.index.area.check(contents.layers.map(&:id), @attributes) }

      def date = collect("/date") { @book.parsed_date }

      # Live texts are filled with the values of a sheet that stands for all.
      def live_texts
        known = @attributes && contents.index.area.layers.flat_map { |layer| @attributes.fetch(layer, {}).keys }
        values = LiveSample.values(attributes: known, fields: @book.own_fields)
        elements.flat_map do |element|
          element.templates.flat_map do |path, template|
            collect(path) { element.check_text(Compose::LiveText.new(template, path: path).fill(values), path) }
          end
        end
      end

      def generate(source) = collect("/index") { @book.woven(source) }
    end
  end
end
