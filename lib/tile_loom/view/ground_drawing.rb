# frozen_string_literal: true

module TileLoom
  module View
    # The layers of the book as a view shows them: cut to the frame, simplified for paper, styled.
    # The same drawing serves sheets, small pictures and the map on the screen.
    class GroundDrawing
      TOLERANCE_MM = 0.05

      attr_reader :view

      # coarse_mm: what is smaller is not looked at, so that coarser geometry will do (a map on the screen);
      # tolerance_mm: how far a simplified line may leave the true one on paper; seen_scale: the scale at
      # which it is looked at, where that is not the view's own (a drawing that is shown smaller); things: {layer id →
      # names of the attributes that its features carry in the drawing}; ppi: pixels an inch of layers of pixels, which
      # are not drawn without it; on_sheet: the Conditions::OnSheet that conditions ask, or nil; exact: ids of layers
      # that are not thinned; shown: a GEOS geometry of the ground that is seen, where that is not all of the view;
      # taken: boxes in page mm where no label may stand; ring: of the frame in page mm where it is no rectangle; hand:
      # what was done to labels by hand; far: answers of(layer id, ground units that cannot be told apart) with what a
      # layer is shown by there instead of its features, which answers picture(those units), a Raster::FarPicture or nil
      # while it is being drawn, and few(Box), some of the Features in it till then; or with nil; language: a
      # Languages::Language, of its labels.
      def initialize(
        layers:,
        source:,
        view:,
        tolerance_mm: TOLERANCE_MM,
        names: true,
        seen_scale: nil,
        coarse_mm: nil,
        things: {},
        ppi: nil,
        on_sheet: nil,
        exact: [],
        shown: nil,
        taken: [],
        ring: nil,
        hand: Symbology::Labels::HandSet::NONE,
        far: nil,
        language: Languages::Language.english
      )
        @language = language
        @far = far
        @things, @ppi = things, ppi
        @on_sheet, @exact, @shown, @taken, @ring, @hand = on_sheet, exact, shown, taken, ring, hand
        @detail = coarse_mm && coarse_mm * view.units_per_mm
        @source, @view, @tolerance_mm, @names = source, view, tolerance_mm, names
        @layers =
          layers
            .select { |layer| layer.visible? && layer.shown_at?(seen_scale || view.scale) }
            .map { |layer| layer.at(view.scale) }
      end

      # Scene groups, the bottom layer first, then the labels of things above all of them.
      def nodes = labels.nodes.then { |names| layer_nodes + names }

      def layer_nodes
        labels
        drawings.map(&:group).reject { |group| group.children.empty? }
      end

      # What is left when it is done. nodes: of the layers; names: of their labels, whose boxes are taken; unplaced,
      # placed: Labelling::UnplacedLabel and Labelling::PlacedLabel.
      Drawn = Struct.new(:nodes, :names, :taken, :entries, :layers, :names_left_out, :notices, :unplaced, :placed)

      def drawn =
        Drawn.new(
          layer_nodes,
          labels.nodes,
          labels.boxes,
          entries,
          shown_layers,
          names_left_out,
          notices,
          labels.unplaced,
          labels.placed
        )

      # Rows of a legend for what drew something here, in drawing order.
      def entries = drawings.flat_map(&:entries)

      # Layers that drew something here.
      def shown_layers = drawings.reject { |drawing| drawing.group.children.empty? }.map(&:layer)

      # What is drawn otherwise than asked for, in sentences.
      def notices = drawings.flat_map(&:notices)

      # Labels that found no room, in sentences.
      def names_left_out
        return [] unless @names
        fieldless +
          labels
            .unplaced
            .group_by(&:layer)
            .map do |id, unplaced|
              wanted, count = labels.counts.fetch(id), unplaced.length
              "#{count} of #{wanted} labels of #{unplaced.first.title} #{(count == 1) ? "has" : "have"} no space on this sheet: " \
                "#{Sentences.listed(unplaced.map { |one| "“#{one.string}”" }.uniq, MOST_LISTED)}."
            end
      end

      private

      MOST_LISTED = 6
      private_constant :MOST_LISTED

      # Labels that ask for a field which none of the layer's features has.
      def fieldless
        @layers
          .reject(&:raster?)
          .flat_map do |layer|
            layer
              .labels
              .flat_map(&:fields_asked)
              .uniq
              .reject { |field| @source.attribute_names(layer.id).include?(field) }
              .map do |field|
                "The labels of #{layer.title} ask for the field “#{field}”, which none of its features has."
              end
          end
      end

      def drawings
        @drawings ||= @layers.filter_map { |layer| layer.raster? ? of_pixels(layer) : of_features(layer) }
      end

      def of_features(layer)
        far = from_afar(layer) or return drawn_by(layer, @source.features(layer.id, reach(layer), detail: @detail))
        picture = far.picture(@detail) or return drawn_by(layer, far.few(reach(layer)), incomplete: true)
        FarDrawing.new(layer: layer, picture: picture, view: view, detail: @detail)
      end

      # nil where its features are drawn.
      def from_afar(layer)
        return nil if @far.nil? || @detail.nil? || view.globe? || !view.ground.upright?
        (@names && layer.labels.any?) ? nil : @far.of(layer.id, @detail)
      end

      def drawn_by(layer, features, incomplete: false)
        LayerDrawing.new(
          layer: layer,
          features: features,
          incomplete: incomplete,
          view: view,
          tolerance_mm: @exact.include?(layer.id) ? nil : @tolerance_mm,
          fields: @things[layer.id],
          on_sheet: @on_sheet,
          shown: @shown,
          language: @language
        )
      end

      def of_pixels(layer)
        raster = @ppi && @source.raster(layer.id) or return nil
        RasterDrawing.new(layer: layer, raster: raster, view: view, ppi: @ppi)
      end

      # Ground box whose features may leave paint in the frame, or have a say in where its labels stand.
      def reach(layer)
        collar = (@names && Labels::Placing.part?(layer)) ? Labels::Placing::COLLAR_MM : 0.0
        view.ground.box.grow([layer.reach_mm, collar].max * view.units_per_mm)
      end

      # The Labelling::Result, after which the layers can be painted.
      def labels
        @labels ||=
          (@names ? placed : Labelling::Result::NONE).tap do |result|
            drawings.each { |drawing| drawing.holes = result.holes[drawing.layer.id] unless drawing.layer.raster? }
          end
      end

      def placed =
        Labels::Placing.new(
          view,
          drawings.select { |drawing| Labels::Placing.part?(drawing.layer) && drawing.labels? },
          ring: @ring,
          taken: @taken,
          hand: @hand
        ).result
    end
  end
end
