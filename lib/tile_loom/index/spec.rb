# frozen_string_literal: true

module TileLoom
  module Index
    # The index as the document states it: what to cover, at which scale, how. Each kind of index is a
    # generator of its own (generators/).
    class Spec < Values::Value
      SIDES = ->(type) do
        Values::Record.new(nil, %i[x y].to_h { |axis| [axis, Values::Part.new(axis, type)] }) { |**found| found }
      end

      define "index"
      part :kind,
        Generators.choice,
        required: true,
        default: "grid",
        about:
          "Rows and columns; frames along a line; a sheet for each feature; cells from polygons drawn elsewhere."
      part :area,
        AreaChoice::Reading.new,
        required: true,
        about: "What the index covers: the id of a layer, or parts together."
      part :buffer, Values::Types::GROUND_LENGTH, default: "0 m", about: "The buffer round the area."
      part :scale, Values::Types::SCALE, required: true
      part :held,
        choice("projection", "ellipsoid"),
        default: "projection",
        about: "Where the scale is true: the map plane (projection), or the ellipsoid at the sheet's centre."
      part :overlap,
        SIDES[Overlap::TEXT],
        default: {},
        about:
          "How much neighbours overlap, each way its own: \"8 mm\" on paper, \"5 %\" of the frame, \"20 m\" of ground; of a strip, x is along the line."
      part :overlap_both_mm, number(0..5000), key: "overlap_mm", default: 0
      take Generators.own_parts
      part :own_naming, Naming.type, key: "naming"
      part :own_order, Order.type, key: "order"
      part :by_hand, ByHand.type, about: "What was done to its cells by hand."

      # naming: how its cells are called; order: in which order they are taken. Each kind has ways of its own where
      # nothing is said.
      attr_reader :naming, :order

      # What the index must cover; source: see Data::MemorySource.
      def study_area(crs:, source:)
        StudyArea.new(area.features(source), buffer: (kind == "grid") ? units(buffer, crs) : 0.0)
      end

      # The same cells, each showing what the frame covers about its centre at its scale.
      def fitted(cells, crs:, frame:)
        cells.map do |cell|
          sides = size(crs, frame, cell.scale).at(cell.ground.centre_x, cell.ground.centre_y)
          cell.with(ground: cell.ground.sized(*sides))
        end
      end

      # What these cells come to: a Index::Answer.
      def cover(cells, crs:, frame:, source:)
        Answer.new(
          cells: cells,
          size: size(crs, frame),
          area: study_area(crs: crs, source: source),
          left_out: left_out(cells, crs, frame, source)
        )
      end

      # frame: Box of the main frame in page mm; before: the cells as they are, whose pinned ones and names
      # stay (all names: see Renewal); afresh: names by the pattern, whatever they were; most: cells that a grid may
      # have. Returns a Index::Answer.
      def generate(crs:, frame:, source:, before: [], afresh: false, most: Grid::MOST_CELLS)
        generator = Generators.of(kind).new(self, crs: crs, frame: frame, source: source, most: most)
        generated, own = generator.cells
        values = order_values(source)
        fresh = naming.named(order.numbered(generated, values: values), own: own && own_names(generated, own, values))
        renewal = Renewal.new(before: before, fresh: fresh, area: generator.area, naming: naming, afresh: afresh)
        cells = in_order(renewal.cells, before, values)
        Answer.new(
          cells: cells,
          size: size(crs, frame),
          area: generator.area,
          left_out: left_out(cells, crs, frame, source),
          notes: generator.notes,
          renewal: renewal,
          fresh: fresh
        )
      end

      # The cells in the order of the settings.
      def ordered(cells, source) = order.numbered(cells, values: order_values(source))

      # Do two indexes (their settings) call cells otherwise, so that all are named afresh?
      def self.names_differ?(one, other) = one.values_at("kind", "naming") != other.values_at("kind", "naming")

      # The cells with names by the pattern, none of their own kept.
      def renamed(cells, source)
        return naming.named(cells) unless naming.kind == "field"
        known = area.features(source).to_h { |feature| [feature.id, feature] }
        naming.named(
          cells,
          own:
            cells.map do |cell|
              known[cell.feature]&.then { |feature| naming.feature(feature.attributes, feature.id.to_s) } || cell.name
            end
        )
      end

      # The CellSize for a frame (a Box in mm) at a scale.
      def size(crs, frame, scale = self.scale) =
        CellSize.new(frame_width_mm: frame.width, frame_height_mm: frame.height, scale: scale, crs: crs, held: held)

      # How much neighbours overlap, [across, down] in mm on paper.
      def overlap_mm(frame, scale = self.scale)
        {x: frame.width, y: frame.height}.map do |axis, length|
          given = overlap[axis]
          given ? Overlap.new(given, path: "#{path}/overlap/#{axis}").mm(length, scale) : overlap_both_mm
        end
      end

      # A Units::Length in units of the reference.
      def units(length, crs) = (length.metres / crs.metres_per_unit.to_r).to_f

      private

      def left_out(cells, crs, frame, source) = LeftOut.new(cells, area.by_layer(source), size(crs, frame))

      def settle
        declared = Generators.of(kind)
        naming = {"kind" => declared.named_by}.merge(own_naming&.given || {})
        @naming = Naming.new(naming, path: "#{path}/naming")
        @order = own_order || Order.new({"kind" => declared.ordered_by}, path: "#{path}/order")
      end

      # An order by hand is that of the cells as they were; newcomers come last.
      def in_order(cells, before, values)
        return order.numbered(cells, values: values) unless order.kind == "by_hand"
        places = before.each_with_index.to_h { |cell, index| [cell.name, index] }
        Order.counted(cells.sort_by { |cell| [places.fetch(cell.name, before.length), cell.number] })
      end

      # Identity of a feature → what its cells are taken by.
      def order_values(source)
        return {} unless order.kind == "field"
        area.features(source).to_h { |feature| [feature.id, feature.attributes[order.field]] }
      end

      # Names that cells bring along, in the order that they have now.
      def own_names(generated, own, values)
        by_cell = generated.each_with_index.to_h { |cell, index| [[cell.row, cell.column], own[index]] }
        order.numbered(generated, values: values).map { |cell| by_cell[[cell.row, cell.column]] }
      end
    end
  end
end
