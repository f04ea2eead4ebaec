# frozen_string_literal: true

module TileLoom
  module Index
    # The index as the document states it: what to cover, at which scale, how. Each kind of index is a
    # weaver of its own (weavers/).
    class Spec
      attr_reader :area, :scale, :held, :room, :settings

      KINDS = {
        "grid" => "GridGenerator",
        "strip" => "StripGenerator",
        "features" => "FeatureGenerator",
        "layer" => "LayerGenerator"
      }.freeze

      def initialize(settings)
        @settings = settings
        @area = AreaChoice.new(settings["area"])
        @scale = settings["scale"]
        @held = settings.fetch("held", "projection")
        @room = Units::Length.parse(settings.fetch("room", "0 m"))
      end

      def kind = settings.fetch("kind", "grid")

      def naming = @naming ||= Naming.new({"kind" => KINDS_NAMED.fetch(kind)}.merge(settings.fetch("naming", {})))

      def order =
        @order ||= Order.new({"kind" => (kind == "grid") ? "rows" : "as_woven"}.merge(settings.fetch("order", {})))

      # What a kind of index calls its cells unless it is told otherwise.
      KINDS_NAMED = {
        "grid" => "places",
        "strip" => "numbers",
        "features" => "attribute",
        "layer" => "attribute"
      }.freeze

      # What the index must cover; source: see Data::MemorySource.
      def study_area(crs:, source:)
        StudyArea.new(area.features(source), room: (kind == "grid") ? room_in(crs) : 0.0)
      end

      # The same cells, each showing what the frame covers about its centre at its scale.
      def fitted(cells, crs:, frame:)
        cells.map do |cell|
          width, height = size(crs, frame, cell.scale).at(cell.ground.centre_x, cell.ground.centre_y)
          cell.dup.tap do |fresh|
            fresh.ground =
              Geometry::TurnedRectangle.new(
                cell.ground.centre_x,
                cell.ground.centre_y,
                width,
                height,
                cell.ground.rotation_deg
              )
          end
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
      # stay (all names: see Renewal); afresh: names by the pattern, whatever they were. Returns a
      # Index::Answer.
      def weave(crs:, frame:, source:, before: [], afresh: false)
        weaver = Generators.const_get(KINDS.fetch(kind)).new(self, crs: crs, frame: frame, source: source)
        woven, own = weaver.cells
        values = order_values(source)
        fresh = naming.named(order.numbered(woven, values: values), own: own && own_names(woven, own, values))
        renewal = Renewal.new(before: before, fresh: fresh, area: weaver.area, naming: naming, afresh: afresh)
        cells = in_order(renewal.cells, before, values)
        Answer.new(
          cells: cells,
          size: size(crs, frame),
          area: weaver.area,
          left_out: left_out(cells, crs, frame, source),
          notes: weaver.notes,
          renewal: renewal
        )
      end

      # The cells in the order of the settings.
      def ordered(cells, source) = order.numbered(cells, values: order_values(source))

      # Do two indexes (their settings) call cells otherwise, so that all are named afresh?
      def self.names_differ?(one, other) = one.values_at("kind", "naming") != other.values_at("kind", "naming")

      # The cells with names by the pattern, none of their own kept.
      def renamed(cells, source)
        return naming.named(cells) unless naming.kind == "attribute"
        known = area.features(source).to_h { |feature| [feature.id, feature] }
        naming.named(
          cells,
          own:
            cells.map do |cell|
              known[cell.feature]&.then { |feature| naming.feature(feature.attributes, feature.id.to_s) } || cell.name
            end
        )
      end

      def size(crs, frame, scale = self.scale) =
        CellSize.new(frame_width_mm: frame.width, frame_height_mm: frame.height, scale: scale, crs: crs, held: held)

      # How much neighbours overlap, [across, down] in mm on paper.
      def overlap_mm(frame, scale = self.scale)
        given = settings["overlap"] || {}
        [["x", frame.width], ["y", frame.height]].map do |axis, length|
          if given[axis]
            Overlap.new(given[axis], path: "/index/overlap/#{axis}").mm(length, scale)
          else
            settings.fetch("overlap_mm", 0).to_f
          end
        end
      end

      # A ground length of the settings ("100 m") in units of the reference.
      def ground(text, crs) = (Units::Length.parse(text).metres / crs.metres_per_unit.to_r).to_f

      private

      def left_out(cells, crs, frame, source) = LeftOut.new(cells, area.by_layer(source), size(crs, frame))

      def room_in(crs) = (room.metres / crs.metres_per_unit.to_r).to_f

      # An order by hand is that of the cells as they were; newcomers come last.
      def in_order(cells, before, values)
        return order.numbered(cells, values: values) unless order.kind == "by_hand"
        places = before.each_with_index.to_h { |cell, index| [cell.name, index] }
        Order.counted(cells.sort_by { |cell| [places.fetch(cell.name, before.length), cell.number] })
      end

      # Identity of a feature → what its cells are taken by.
      def order_values(source)
        return {} unless order.kind == "attribute"
        area.features(source).to_h { |feature| [feature.id, feature.attributes[order.attribute]] }
      end

      # Names that cells bring along, in the order that they have now.
      def own_names(woven, own, values)
        by_cell = woven.each_with_index.to_h { |cell, index| [[cell.row, cell.column], own[index]] }
        order.numbered(woven, values: values).map { |cell| by_cell[[cell.row, cell.column]] }
      end
    end
  end
end
