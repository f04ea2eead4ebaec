# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # A picture of each sheet.
      class Images < Form
        kind "images", "an image a sheet", rank: 3
        file_name "{{ book.title }}_{{ sheet.name }}"
        about "Pixels of each sheet, or of its map frame alone; placed on the ground if wanted."
        part :format, choice("png", "jpeg", "tiff", "webp", "geotiff"), default: "png"
        part :shows, choice("page", "map frame", "frame with border"), default: "page"
        part :clear, flag, default: false, about: "Without the white of the paper."
        part :depth, choice("colour", "grey", "256 colours"), default: "colour"
        part :quality, whole(10..100), default: 90, about: "Of JPEG and WebP."
        part :placed, flag, default: false, about: "With a world file and a file that names the reference beside it."
        part :north_up, flag, default: false, about: "Are turned sheets drawn anew in a GeoTIFF so that north is up?"

        ENDINGS = {"png" => ".png", "jpeg" => ".jpg", "tiff" => ".tif", "webp" => ".webp", "geotiff" => ".tif"}.freeze
        # Of world files, as is usual.
        WORLDS = {"png" => ".pgw", "jpeg" => ".jgw", "tiff" => ".tfw", "webp" => ".wld"}.freeze
        # The longest side that a format can have.
        LONGEST = {"webp" => 16_383, "jpeg" => 65_535}.freeze
        # Bytes a pixel, about, of a map.
        RATES = {"png" => 0.09, "jpeg" => 0.16, "tiff" => 0.16, "webp" => 0.06, "geotiff" => 0.2}.freeze
        # Pixels a second and core, about.
        PIXELS_A_SECOND = 12_000_000.0

        def ending = ENDINGS.fetch(format)

        def media = {"png" => "image/png", "jpeg" => "image/jpeg", "webp" => "image/webp"}.fetch(format, "image/tiff")

        def pixels(press, item) = Painter.pixels(box(press, item), press.order.ppi)

        def check(press)
          clash("clear", "jpeg") if clear? && format == "jpeg"
          clash("256 colours", format) if depth == "256 colours" && format != "png"
          Press.spread(press.items).each { |item| fits!(pixels(press, item), press, item) }
        end

        def estimate(press, items)
          seen = Press.spread(items).map { |item| pixels(press, item).reduce(:*) }
          total = seen.sum * items.length / seen.length
          sample = press.sample(items)
          [(total * RATES.fetch(format)).round, items.length * sample.seconds + total / PIXELS_A_SECOND]
        end

        def told(press)
          return [] unless placed? || format == "geotiff"
          unplaced = press.items.reject { |item| frame?(press, item) }
          found = []
          found << "#{unplaced.length} pages have no map frame and are not placed on the ground." if unplaced.any?
          if placed? && format != "geotiff" && !press.book.crs.wkt
            found << "#{press.book.crs.name} cannot be written as WKT 1, so that no file beside the images names it."
          end
          found
        end

        def make(press, item, folder, name, secrets: nil)
          fits!(pixels(press, item), press, item)
          painter(press, item).paint do |image|
            image = shaded(image, press.order.ppi)
            path = File.join(folder, name)
            next geotiff(press, item, image, path) if format == "geotiff"
            save(image, path)
            [name, *beside(press, item, path)]
          end
        end

        private

        def frame?(press, item) =
          (item == Press::INDEX) ? !press.book.index_layout.index_frame.nil? : !press.book.layout.main_frame.nil?

        def clash(what, kind) = raise(Refusal.new("output.image_clash", what: what, format: kind.upcase, at: path))

        def fits!((width, height), press, item)
          most = LONGEST[format]
          return unless most && [width, height].max > most
          raise Refusal.new(
            "output.side_too_long",
            format: format.upcase.sub("WEBP", "WebP"),
            most: Units::Number.grouped(most),
            width: Units::Number.grouped(width),
            height: Units::Number.grouped(height),
            sheet: Press.name_of(item),
            ppi: press.order.ppi * most / [width, height].max,
            at: "/ppi"
          )
        end

        # What of the page is shown, in mm.
        def box(press, item)
          composer = press.composer(item)
          page, frame = composer.page, composer.gridded_frame
          return Geometry::Box.new(0, 0, page.width_mm, page.height_mm) if shows == "page" || frame.nil?
          inner = frame.box(page)
          return inner if shows == "map frame"
          room = frame.surround(frame.view_on(composer), composer).room
          Geometry::Box.new(
            inner.min_x - room["left"],
            inner.min_y - room["top"],
            inner.max_x + room["right"],
            inner.max_y + room["bottom"]
          )
        end

        def view(press, item) = press.composer(item).then { |composer| composer.gridded_frame&.view_on(composer) }

        def painter(press, item)
          composer = press.composer(item)
          drawing = composer.drawing
          unless shows == "page" || composer.gridded_frame.nil?
            drawing = drawing.with(nodes: frame_nodes(composer), trim_marks: false)
          end
          Painter.new(
            Pdf::Page.of(drawing, ppi: press.order.ppi),
            box: box(press, item),
            ppi: press.order.ppi,
            faces: press.book.faces,
            pictures: press.book.pictures.method(:of_content),
            clear: clear?
          )
        end

        # The frame alone: as it stands on the page, or what lies in it.
        def frame_nodes(composer)
          frame = composer.gridded_frame
          group = frame.draw(composer)
          return [group] unless shows == "map frame"
          [Scene::Group.new(children: frame.inside(composer), clip: frame.box(composer.page))]
        end

        # ppi as the file says it (pixels a millimetre in libvips).
        def shaded(image, ppi)
          image = image.copy(xres: ppi / 25.4, yres: ppi / 25.4)
          return image unless depth == "grey"
          return image.colourspace(:"b-w") unless image.has_alpha?
          image.extract_band(0, n: 3).colourspace(:"b-w").bandjoin(image[3])
        end

        def save(image, path)
          aside = "#{path}.part"
          case format
          when "png"
            image.pngsave(aside, strip: true, palette: depth == "256 colours", compression: 6)
          when "jpeg"
            image.jpegsave(aside, Q: quality, strip: true, optimize_coding: true)
          when "webp"
            image.webpsave(aside, Q: quality, strip: true)
          else
            image.tiffsave(
              aside,
              compression: :deflate,
              predictor: :horizontal,
              tile: true,
              strip: true,
              bigtiff: large?(image)
            )
          end
          File.rename(aside, path)
        ensure
          FileUtils.rm_f(aside)
        end

        def large?(image) = image.width * image.height * image.bands > 2**31

        def place(press, item) =
          view(press, item)&.then { |view| PlacedPicture.new(view, box(press, item), press.order.ppi) }

        def geotiff(press, item, image, path)
          place = place(press, item)
          return save(image, path).then { [File.basename(path)] } unless place
          # GDAL tells the format by the ending.
          aside = File.join(File.dirname(path), ".part-#{File.basename(path)}")
          GroundRaster.new(place).geotiff(image, aside, north_up: north_up?)
          File.rename(aside, path)
          [File.basename(path)]
        ensure
          FileUtils.rm_f(aside) if aside
        end

        def beside(press, item, path)
          place = placed? ? place(press, item) : nil
          return [] unless place
          base = path.delete_suffix(ending)
          files = {"#{base}#{WORLDS.fetch(format)}" => place.world_file, "#{path}.aux.xml" => place.auxiliary}.compact
          files.each { |file, text| File.write(file, text) }
          files.keys.map { |file| File.basename(file) }
        end
      end
    end
  end
end
