# frozen_string_literal: true

module App
  # What brings a book's data and grids to its datum: for each other datum the transformation that is used, its
  # accuracy, and what could be used in its place.
  class DatumShifts
    MOST_CANDIDATES = 12

    def initialize(book)
      @book = book
      @crs = book.document.crs
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

    def sources = layers + grids

    def layers
      @book
        .layers
        .reject(&:removed)
        .map { |layer| {crs: TileLoom::Crs::System.find(layer.original_reference), layer: layer.title} }
    end

    def grids
      core = @book.document
      [core.layout, core.key_layout].compact
        .flat_map(&:elements)
        .grep(TileLoom::Furniture::Gridded)
        .flat_map(&:grids)
        .filter_map do |grid|
          crs = grid.zoned? ? TileLoom::Crs::System.find("EPSG:4326") : grid.crs(@crs)
          {crs: crs, grid: grid.name}
        rescue TileLoom::Refusal
          nil
        end
    end

    def shift(group)
      from = group.first[:crs]
      return nil if from.bound? || @crs.bound?
      (one, other), = TileLoom::Crs::DatumOperation.ordered(from, @crs)
      here = TileLoom::Crs::DatumOperation.candidates(from, @crs, degrees)
      used = TileLoom::Crs::Transform.between(from, @crs).operation
      # As accurate as it is where the data lie.
      used = here.find { |operation| operation.name == used.name } || used
      {
        "datums" => [one.datum, other.datum],
        **told(used),
        "layers" => group.filter_map { |source| source[:layer] },
        "grids" => group.filter_map { |source| source[:grid] }.uniq,
        "candidates" => ([used] + here).uniq(&:name).first(MOST_CANDIDATES).map { |operation| told(operation) }
      }
    end

    def told(operation) =
      {"name" => operation.name, "accuracy_m" => operation.accuracy_here, "area" => operation.area}

    # The ground of all layers in degrees, or where the reference is made for.
    def degrees
      box = @book.extent or return @crs.area_of_use
      TileLoom::Crs::Transform.between(@crs, @crs.geographic).box(box, strict: true).to_a
    end
  end
end
