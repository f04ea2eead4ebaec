# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # Text with live text (Liquid), wrapped in its box, on a panel of its own if wanted. It may shrink
      # to fit, down to a least size.
      class TextBox < Element
        STEP_PT = 0.25

        def nodes(sheet, box)
          string = string(sheet)
          room = box.grow(-settings.fetch("padding_mm", 0).to_f)
          backing = (settings["fill"] || settings["stroke"]) ? panel(box, settings, nil) : []
          return backing if room.width <= 0 || room.height <= 0
          [*backing, *fitting(string, room).set(string, room)]
        end

        def templates = [["#{path}/text", settings["text"]]]

        # Does the text of a sheet stand in its box?
        def fits?(sheet)
          string = string(sheet)
          room = box(sheet.page).grow(-settings.fetch("padding_mm", 0).to_f)
          fitting(string, room).fits?(string, room)
        end

        def left_out(sheet)
          return [] if hidden? || fits?(sheet)
          [
            "The text “#{settings["title"] || id}” takes more room than its box, so that it runs over what stands " \
            "beside or below it; make the box larger, or let the text shrink."
          ]
        end

        private

        # What it says on a sheet.
        def string(sheet) = sheet.live_text(settings["text"], path: "#{path}/text")

        def size_pt = settings.fetch("size_pt", 9).to_f

        def setting(size)
          Type::Setting.new(
            face: face,
            size_pt: size,
            colour: colour,
            align: settings.fetch("align", "left"),
            anchor: settings.fetch("anchor", "top"),
            leading: settings.fetch("line_height", 1.2).to_f,
            tracking_pt: settings.fetch("tracking_pt", 0).to_f
          )
        end

        # The largest size that fits, between the least and the wanted one.
        def fitting(string, room)
          least = settings["least_pt"]&.to_f or return setting(size_pt)
          size = size_pt
          size -= STEP_PT while size > least && !setting(size).fits?(string, room)
          setting([size, least].max)
        end
      end
    end
  end
end
