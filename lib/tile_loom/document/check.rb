# frozen_string_literal: true

module TileLoom
  module Document
    # Everything that is wrong in a book document, each finding with the path of the offending value:
    # first its shape, then what the values mean together.
    class Check
      # Raises the first finding, if there is one.
      # attributes, enclosures: see below.
      def self.demand(settings, attributes: nil, enclosures: TileLoom::Assets::Enclosures.none)
        found = new(settings, attributes: attributes, enclosures: enclosures).findings.first
        raise found if found
      end

      # attributes: layer id → {attribute → type}, to check conditions against; nil where not known.
      # enclosures: where the bytes of typefaces and pictures are.
      def initialize(settings, attributes: nil, enclosures: TileLoom::Assets::Enclosures.none)
        @settings, @attributes, @enclosures = settings, attributes, enclosures
      end

      # Invalid findings; empty when the book can be woven and printed. source: to check the weave with,
      # or nil to leave the data out.
      def findings(source: nil)
        shape =
          if @settings.is_a?(Hash)
            Schema.findings(@settings)
          else
            [Invalid.new("The book is not a JSON object.", path: "/")]
          end
        return shape unless shape.empty?
        @book = Book.new(@settings, fits: true, enclosures: @enclosures)
        missing = enclosed
        return missing unless missing.empty?
        meaning = [*ids, *references, *page, *arrows, *conditions, *live_texts, *area, *date]
        meaning += weave(source) if meaning.empty? && source
        meaning
      end

      private

      def collect(path = nil)
        yield
        []
      rescue Invalid => error
        [error.path ? error : Invalid.new(error.message, path: path)]
      end

      def ids
        duplicates("/layers", @settings["layers"]) +
          %w[markers faces pictures].flat_map { |list| duplicates("/#{list}", @settings.fetch(list, [])) } +
          layouts.flat_map do |path, elements|
            duplicates(path, elements) +
              elements.each_with_index.flat_map do |element, index|
                duplicates("#{path}/#{index}/grids", element["grids"] || [])
              end
          end
      end

      def duplicates(path, list)
        seen = {}
        list
          .each_with_index
          .filter_map do |item, index|
            next seen[item["id"]] = true unless seen[item["id"]]
            Invalid.new("The id “#{item["id"]}” is used twice; give each its own.", path: "#{path}/#{index}/id")
          end
          .grep(Invalid)
      end

      # Typefaces and pictures that elements, grids and names ask for.
      def enclosed
        elements =
          layouts
            .flat_map do |list, elements|
              elements.each_with_index.map { |element, index| ["#{list}/#{index}", element] }
            end
            .flat_map do |path, element|
              labels =
                (element["grids"] || []).each_with_index.filter_map do |grid, place|
                  grid.dig("labels", "face")&.then { |face| ["#{path}/grids/#{place}/labels/face", face] }
                end
              faces =
                [*(element["face"] && [["#{path}/face", element["face"]]]), *labels].flat_map do |at, face|
                  typeface(at, face)
                end
              faces +
                (element["picture"] ? collect("#{path}/picture") { @book.pictures.picture(element["picture"]) } : [])
            end
        names =
          @settings["layers"].each_with_index.flat_map do |layer, index|
            layer.dig("label", "face") ? typeface("/layers/#{index}/label/face", layer["label"]["face"]) : []
          end
        elements + names
      end

      def typeface(path, key) = collect(path) { @book.faces.face(key) }

      def references
        found = collect("/reference") { @book.crs }
        return found unless found.empty?
        gridded.each do |path, frame|
          frame.grids.each_with_index do |grid, place|
            found += collect("#{path}/grids/#{place}/reference") { grid.check(@book.crs) }
          end
        end
        found
      end

      # [path, frame] of all frames that carry grids.
      def gridded =
        [@book.layout, @book.key_layout].compact
          .flat_map(&:elements)
          .select { |element| element.is_a?(TileLoom::Furniture::Gridded) }
          .map { |element| [element.path, element] }

      def page
        sheets =
          collect("/layout") do
            @book.layout.main_frame
            @book.layout.elements.each { |element| element.box(@book.layout.page) }
          end
        sheets + (@book.key_layout ? key_page : [])
      end

      def key_page
        collect("/key_layout") do
          @book.key_layout.key_frame
          @book.key_layout.elements.each do |element|
            if element.is_a?(TileLoom::Furniture::Elements::MapFrame)
              raise Invalid.new(
                "A map frame shows one cell; a key sheet has a key frame in its place.",
                path: element.path
              )
            end
            element.box(@book.key_layout.page)
          end
        end
      end

      # [path, elements] of each layout.
      def layouts =
        %w[layout key_layout].filter_map do |name|
          @settings[name] && ["/#{name}/elements", @settings[name]["elements"]]
        end

      # North arrows of a form that ships.
      def arrows =
        [@book.layout, @book.key_layout].compact
          .flat_map(&:elements)
          .grep(TileLoom::Furniture::Elements::NorthArrow)
          .flat_map { |arrow| collect("#{arrow.path}/form") { arrow.check } }

      # Rules and their conditions, which must fit the layer's attributes.
      def conditions
        collect("/layers") do
          @book.layers.each do |layer|
            types = @attributes && @attributes[layer.id] or next
            layer.rules.each { |rule| rule.condition&.check_types(types) }
          end
        end
      end

      def area =
        collect("/index/area") { @book.index.area.check(@settings["layers"].map { |layer| layer["id"] }, @attributes) }

      def date = collect("/date") { @book.parsed_date }

      # Live texts are filled with the values of a sheet that stands for all.
      def live_texts
        values =
          LiveSample.values(
            attributes: @attributes && @book.index.area.layers.flat_map { |layer| @attributes.fetch(layer, {}).keys }
          )
        [@book.layout, @book.key_layout].compact
          .flat_map(&:elements)
          .flat_map(&:templates)
          .flat_map do |path, template|
            collect(path) { TileLoom::Compose::LiveText.new(template, path: path).fill(values) }
          end
      end

      def weave(source) = collect("/index") { @book.weave(source) }
    end
  end
end
