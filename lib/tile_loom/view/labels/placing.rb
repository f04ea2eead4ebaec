# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # The labels of all layers of a view: which features want one, where it could stand, and what became of it.
      class Placing
        # So far round the frame labels are thought of, too, so that neighbouring sheets come to the same.
        COLLAR_MM = 20
        # What an unplaced label costs at priority 0, and more at 100; what one of several labels of a line costs.
        LOST, LOST_MORE, LOST_AGAIN = 400, 800, 300

        # drawings: LayerDrawing list, the bottom layer first; hand: Symbology::Labels::HandSet; ring: of the frame
        # where it is no rectangle; taken: Geometry::Boxes where no label may stand.
        def initialize(view, drawings, ring: nil, taken: [], hand: Symbology::Labels::HandSet::NONE)
          @view, @drawings, @ring, @taken, @hand = view, drawings, ring, taken, hand
          @frame = view.frame
          @window = @frame.grow(COLLAR_MM)
        end

        # Does a layer take part in placing, with labels or as something that labels avoid?
        def self.part?(layer) = !layer.raster? && (layer.labels.any? || avoidance(layer).positive?)

        # 0 to 100.
        def self.avoidance(layer) = layer.avoidance || ((layer.rules.any? { |rule| rule.symbol.marker }) ? 100 : 0)

        # A Labelling::Result.
        def result
          labelled = @drawings.each_with_index.select { |drawing, _| drawing.layer.labels.any? }
          wanted =
            labelled.flat_map { |drawing, rank| Subjects.new(Scope.new(drawing, @view, @window, rank, @hand)).wanted }
          return Labelling::Result::NONE if wanted.empty?
          room = Labelling::FreeSpace.new(@frame, ring: @ring, taken: @taken.map { |box| Labelling::Footprint.of(box) })
          found = Labelling::Placement.new(wanted, free_space: room, symbols: symbols).solve
          result_of(wanted, found)
        end

        private

        def symbols
          nearby = Labelling::Nearby.new
          @drawings.each do |drawing|
            avoidance = self.class.avoidance(drawing.layer)
            if avoidance.positive?
              drawing.each_symbol(@window) { |footprint, id| nearby.add(footprint, [avoidance, drawing.layer.id, id]) }
            end
          end
          nearby
        end

        def result_of(wanted, found)
          placed = wanted.each_with_index.filter_map { |label, index| [label, found[index]] if found[index] }
          Labelling::Result.new(
            nodes: groups(placed),
            boxes:
              placed.flat_map do |_, place|
                place.footprints.map { |footprint| Geometry::Box.new(*footprint.first(4)) }
              end,
            holes: holes(placed),
            placed: placed.map { |label, place| placed_of(label, place) },
            **unplaced(wanted, found)
          )
        end

        def placed_of(label, place) =
          Labelling::PlacedLabel.new(
            label.layer,
            label.rule,
            label.feature,
            label.string,
            label.x,
            label.y,
            place,
            label.number,
            label.hand
          )

        # The upper layers' first.
        def groups(placed)
          placed
            .group_by { |label, _| label.layer }
            .to_a
            .reverse
            .map do |layer, list|
              Scene::Group.new(
                children: list.flat_map { |label, place| nodes(label.rule, place) },
                layer: layer.scene_layer,
                name: "#{layer.id} names"
              )
            end
        end

        def nodes(rule, place)
          @halos ||= {}.compare_by_identity
          halo = @halos.fetch(rule) { @halos[rule] = rule.halo.stroke }
          nodes = [*leader(rule, place.leader), *place.setting.nodes(halo: halo)]
          (rule.opacity < 1) ? [Scene::Group.new(children: nodes, opacity: rule.opacity)] : nodes
        end

        def leader(rule, ends) = ends ? [Scene::Path.new(runs: [ends], closed: false, stroke: rule.leader)] : []

        def holes(placed)
          placed
            .select { |label, _| label.rule.lines.breaks? && label.rule.lines.on? }
            .group_by { |label, _| label.layer.id }
            .transform_values do |list|
              list.flat_map { |_, place| place.footprints.map { |footprint| Labelling::Footprint.corners(footprint) } }
            end
        end

        # Of several labels of a line one is enough.
        def unplaced(wanted, found)
          shown = wanted.each_with_index.select { |label, _| label.shown }
          groups = shown.group_by { |label, index| label.group || index }
          missed =
            groups.each_value.reject { |list| list.any? { |_, index| found[index] } }.map { |list| list.first.first }
          {
            unplaced:
              missed.map do |label|
                Labelling::UnplacedLabel.new(label.layer.id, label.layer.title, label.string, label.x, label.y)
              end,
            counts: groups.each_value.map { |list| list.first.first.layer.id }.tally
          }
        end
      end
    end
  end
end
