# frozen_string_literal: true

module TileLoom
  module Symbology
    # A layer of the book: its place in the drawing order is its place in the book's list, the first at
    # the bottom. The first rule that a feature meets draws it, or every rule that it meets.
    #
    # Sizes are fixed on paper, or (with a design scale) grow and shrink with the ground, right at that
    # scale. A layer may be drawn only between two scales.
    class Layer
      # Sizes may shrink to nothing, but not grow beyond this many times.
      LARGEST_FACTOR = 50.0

      attr_reader :id, :title, :rules, :label, :opacity

      # drawings: a MarkerSet; faces: a Type::FaceSet.
      def initialize(settings, drawings: MarkerSet.new, faces: Type::Library, path: nil, factor: 1.0)
        @settings, @drawings, @faces, @path = settings, drawings, faces, path
        @id = settings["id"]
        @title = settings["title"]
        @visible = settings.fetch("visible", true)
        @opacity = settings.fetch("opacity", 1.0)
        @factor = factor
        @rules =
          settings["rules"].each_with_index.map do |rule, index|
            Rule.new(rule, drawings: drawings, factor: factor, path: "#{path}/rules/#{index}")
          end
        @label = settings["label"] && Label.new(settings["label"], factor: factor, faces: faces)
        refuse_empty_range
      end

      def visible? = @visible

      # Is it drawn at this scale (denominator)? Both ends of its range count in.
      def shown_at?(scale)
        range = @settings["shown"] or return true
        scale.between?(range.fetch("from", 0), range.fetch("to", Float::INFINITY))
      end

      # The layer as it is drawn at a scale: itself, or with sizes that follow the ground.
      def at(scale)
        design = @settings["design_scale"] or return self
        factor = [design / scale.to_f, LARGEST_FACTOR].min
        if @factor == factor
          self
        else
          Layer.new(@settings, drawings: @drawings, faces: @faces, path: @path, factor: factor)
        end
      end

      # The rules that draw a feature of these attributes.
      def rules_for(attributes)
        return rules.select { |rule| rule.match?(attributes) } if @settings["match"] == "all"
        [rules.find { |rule| rule.match?(attributes) }].compact
      end

      def reach_mm = rules.map { |rule| rule.symbol.reach_mm }.max.to_f

      def scene_layer = Scene::Layer.new(id: id, title: title)

      private

      def refuse_empty_range
        range = @settings["shown"]
        return unless range && range["from"] && range["to"] && range["from"] > range["to"]
        raise Invalid.new(
          "The layer “#{title}” is to be drawn from #{Units::Number.ratio(range["from"])} to " \
          "#{Units::Number.ratio(range["to"])}, which is no range; swap the two.",
          path: "#{@path}/shown"
        )
      end
    end
  end
end
