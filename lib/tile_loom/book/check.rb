# frozen_string_literal: true

module TileLoom
  module Book
    # Everything that is wrong in a book document, each finding with the path of the offending value:
    # first its shape, then what the values mean together.
    class Check
      # Raises the first finding, if there is one.
      def self.demand(settings)
        found = new(settings).findings.first
        raise found if found
      end

      def initialize(settings) = @settings = settings

      # Invalid findings; empty when the book can be woven and printed. source: to check the weave with,
      # or nil to leave the data out.
      def findings(source: nil)
        shape = @settings.is_a?(Hash) ? Schema.findings(@settings) : [Invalid.new("The book is not a JSON object.", path: "/")]
        return shape unless shape.empty?
        @book = Document.new(@settings)
        meaning = [*ids, *references, *page, *conditions, *live_texts, *area, *date]
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
        duplicates("/layers", @settings["layers"]) + duplicates("/layout/elements", @settings.dig("layout", "elements"))
      end

      def duplicates(path, list)
        seen = {}
        list.each_with_index.filter_map do |item, index|
          next seen[item["id"]] = true unless seen[item["id"]]
          Invalid.new("The id “#{item["id"]}” is used twice; give each its own.", path: "#{path}/#{index}/id")
        end.grep(Invalid)
      end

      def references
        found = collect("/reference") { @book.crs }
        @settings.dig("layout", "elements").each_with_index do |element, index|
          (element["grids"] || []).each_with_index do |grid, place|
            next if %w[book geographic].include?(grid["reference"])
            found += collect("/layout/elements/#{index}/grids/#{place}/reference") { Reference::Crs.find(grid["reference"]) }
          end
        end
        found
      end

      def page
        collect("/layout") do
          @book.layout.main_frame
          @book.layout.elements.each { |element| element.box(@book.layout.page) }
        end
      end

      def conditions = collect("/layers") { @book.layers }

      def area
        return [] if @settings["layers"].any? { |layer| layer["id"] == @book.index.area }
        [Invalid.new("The study area “#{@book.index.area}” is not a layer of this book; choose one of #{@settings["layers"].map { |layer| layer["id"] }.join(", ")}.", path: "/index/area")]
      end

      def date = collect("/date") { @book.parsed_date }

      # Live texts are filled with the values of a sheet that stands for all.
      def live_texts
        values = LiveSample.values
        @book.layout.elements.flat_map(&:templates).flat_map do |path, template|
          collect(path) { Sheet::LiveText.new(template, path: path).fill(values) }
        end
      end

      def weave(source) = collect("/index") { @book.weave(source) }
    end
  end
end
