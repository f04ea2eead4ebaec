# frozen_string_literal: true

module TileLoom
  module Artwork
    # A small drawing out of an SVG: shapes in the unit square about the origin, y down, the larger side
    # of the drawing being 1.
    class Drawing
      # runs: flat coordinates, drawn together; fill, stroke: "#rrggbb", :own for the colour that the
      # user of the drawing gives, or nil; width: of the stroke, in the same unit.
      Shape = Struct.new(:runs, :closed, :fill, :stroke, :width, :opacity, keyword_init: true)

      # left_out: in words, what was not taken over (scripts, links, pictures, text …).
      attr_reader :shapes, :left_out

      def initialize(shapes, left_out: [])
        @shapes, @left_out = shapes, left_out
      end

      # Scene paths at a size about points [x, y, …] of the page, shape by shape about each. colour: for what
      # has none of its own; outline: a Scene::Stroke round what takes that colour, or nil. A drawing of one
      # shape is one path for all points, so that many markers stay one object.
      def paths(points, size, colour:, opacity: 1.0, outline: nil)
        if shapes.one?
          return [
            path(
              shapes.first,
              points.each_slice(2).flat_map { |x, y| runs(shapes.first, x, y, size) },
              size,
              colour,
              opacity,
              outline
            )
          ]
        end
        points
          .each_slice(2)
          .flat_map do |x, y|
            shapes.map { |shape| path(shape, runs(shape, x, y, size), size, colour, opacity, outline) }
          end
      end

      # [place, size] at which it stands in the middle of a box, as large as that lets it be.
      def fitted(box)
        extent = Geometry::Box.around(shapes.flat_map(&:runs).flatten)
        size = [box.width / extent.width, box.height / extent.height].min
        middle_x, middle_y = extent.centre
        x, y = box.centre
        [[x - middle_x * size, y - middle_y * size], size]
      end

      # Flat runs of all its shapes at a size about a place.
      def outlines((x, y), size) = shapes.flat_map { |shape| runs(shape, x, y, size) }

      # As SVG again, which holds nothing but these shapes.
      def to_svg
        body =
          shapes.map do |shape|
            width = %( stroke-width="#{plain(shape.width)}") if shape.stroke
            opacity = %( opacity="#{plain(shape.opacity)}") if shape.opacity < 1
            painted = "#{paint("fill", shape.fill)}#{paint("stroke", shape.stroke)}#{width}#{opacity}"
            %(<path d="#{outline(shape)}"#{painted} fill-rule="evenodd"/>)
          end
        %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="-0.6 -0.6 1.2 1.2">#{body.join}</svg>)
      end

      private

      def runs(shape, x, y, size) =
        shape.runs.map { |run| run.each_slice(2).flat_map { |dx, dy| [x + dx * size, y + dy * size] } }

      def path(shape, runs, size, colour, opacity, outline)
        own = ->(paint) { (paint == :own) ? colour : paint }
        fill = shape.fill && Scene::Fill.new(colour: own[shape.fill], opacity: opacity * shape.opacity)
        stroke =
          shape.stroke &&
          Scene::Stroke.new(colour: own[shape.stroke], width_mm: shape.width * size, opacity: opacity * shape.opacity)
        stroke ||= outline if shape.fill == :own
        Scene::Path.new(runs: runs, closed: shape.closed || !fill.nil?, fill: fill, stroke: stroke)
      end

      def outline(shape) =
        shape
          .runs
          .map do |run|
            "M" + run.each_slice(2).map { |x, y| "#{plain(x)} #{plain(y)}" }.join("L") + (shape.closed ? "Z" : "")
          end
          .join

      def paint(name, colour) = %( #{name}="#{(colour == :own) ? "currentColor" : colour || "none"}")

      def plain(number) = Units::Number.plain(number, decimals: 4)
    end
  end
end
