# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A drawing of the book's own (an SVG, of which only shapes are kept) or a picture of pixels: whole and
      # as large as its box lets it be, or filling the box and cut by it.
      class Picture < Element
        kind "picture", "Picture", rank: 11
        size_mm 20, 20
        start "drawing" => "flag", "colour" => "#1f2a30"
        define nil, oneOf: [{"required" => ["drawing"]}, {"required" => ["picture"]}]
        part :drawing, Values::Types::ID, about: "One of the book's own markers, or of the shipped ones."
        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :picture, Values::Types::ID, about: "One of the book's own pictures."
        part :fit,
          choice("inside", "fill"),
          default: "inside",
          about: "A picture whole inside its box, or filling it and cut by it."

        part :alternative, text(most: 500), about: "What it shows, for those who do not see it."

        def spoken(_sheet) = alternative || own_title

        def nodes(sheet, box) = picture ? pixels(sheet, box) : shapes(sheet, box)

        def pictures = picture ? [["#{path}/picture", picture]] : []

        private

        def shapes(sheet, box)
          drawing = sheet.book.markers.drawing(self.drawing, path: "#{path}/drawing")
          drawing.paths(*drawing.fitted(box), colour: colour)
        end

        def pixels(sheet, box)
          raster = sheet.book.pictures.picture(picture, path: "#{path}/picture")
          ratios = [box.width / raster.width_px, box.height / raster.height_px]
          size = fills? ? ratios.max : ratios.min
          image = Scene::Image.about(box.centre, raster: raster, mm_per_px: size)
          fills? ? [Scene::Group.new(children: [image], clip: box)] : [image]
        end

        def fills? = fit == "fill"
      end
    end
  end
end
