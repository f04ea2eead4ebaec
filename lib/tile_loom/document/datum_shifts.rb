# frozen_string_literal: true

module TileLoom
  module Document
    # What brings a book's data and grids to its datum: for each other datum the transformation that is used, its
    # accuracy, and what could be used in its place.
    class DatumShifts
      MOST_CANDIDATES = 12

      # book: a Book; layers: [[title, code of the reference that its data came in], …]; ground: a Geometry::Box of all
      # that they hold, or nil.
      def initialize(book, layers:, ground:)
        @book, @crs, @layers, @ground = book, book.crs, layers, ground
      end

      # [{"datums", "name", "accuracy_m", "layers": titles, "grids": names, "candidates": [{"name", "accuracy_m",
      # "area"}]}]
      def list
        @list ||=
          sources.group_by { |source| source[:crs].datum }.except(@crs.datum).filter_map { |_, group| shift(group) }
      end

      # Is this one of those that the list offers for a pair?
      def offered?(datums, name) =
        list.any? do |shift|
          shift["datums"] == datums.sort && shift["candidates"].any? { |candidate| candidate["name"] == name }
        end

      # Do layers lie where it brings them, so that a change moves them?
      def moves?(datums) = list.any? { |shift| shift["datums"] == datums.sort && shift["layers"].any? }

      private

      def sources = @layers.map { |title, code| {crs: Crs::System.find(code), layer: title} } + grids

      def grids
        [@book.layout, @book.index_layout, *@book.pages.map(&:layout)].compact
          .flat_map(&:elements)
          .grep(Furniture::Gridded)
          .flat_map(&:grids)
          .filter_map do |grid|
            crs = grid.zoned? ? Crs::System.find("EPSG:4326") : grid.crs(@crs)
            {crs: crs, grid: grid.name}
          rescue Refusal
            nil
          end
      end

      def shift(group)
        from = group.first[:crs]
        return nil if from.bound? || @crs.bound?
        (one, other), = Crs::DatumOperation.ordered(from, @crs)
        here = Crs::DatumOperation.candidates(from, @crs, degrees)
        used = Crs::Transform.between(from, @crs).operation
        # As accurate as it is where the data lie.
        used = here.find { |operation| operation.name == used.name } || used
        {
          "datums" => [one.datum, other.datum],
          **described(used),
          "better" => (group.any? { |source| source[:layer] }) ? better(from, used) : nil,
          "layers" => group.filter_map { |source| source[:layer] },
          "grids" => group.filter_map { |source| source[:grid] }.uniq,
          "candidates" => ([used] + here).uniq(&:name).first(MOST_CANDIDATES).map { |operation| described(operation) }
        }
      end

      # What would bring the data more accurately, or nil.
      def better(from, used) =
        Crs::Operations.new(@book.contents.operations).better(from, @crs, degrees, used)&.then { |found| described(found) }

      def described(operation) =
        {"name" => operation.name, "accuracy_m" => operation.accuracy_here, "area" => operation.area}

      # The ground of all layers in degrees, or where the reference is made for.
      def degrees
        return @crs.area_of_use unless @ground
        Crs::Transform.between(@crs, @crs.geographic).box(@ground, strict: true).to_a
      end
    end
  end
end
