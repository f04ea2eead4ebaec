# frozen_string_literal: true

module TileLoom
  module Output
    module Forms
      # The ground of all sheets as one seamless picture in tiles, for the field.
      class Ground < Form
        kind "ground", "map tiles", rank: 5
        file_name "{{ book.title }}"
        about "The map without frames, as tiles for a phone or a tablet."
        part :format, choice(mbtiles: "MBTiles", geopackage: "GeoPackage"), default: "mbtiles"
        part :scale, Values::Types::SCALE, about: "At which it is drawn; that of the index where none is named."

        # Pixels of all of it.
        MOST_PIXELS = 1_000_000_000

        def ending = (format == "mbtiles") ? ".mbtiles" : ".gpkg"

        def items(press)
          press.picked
          [Press::GROUND]
        end

        def pixels(press, _item) = Painter.pixels(frame(press), press.ppi)

        def check(press)
          width, height = pixels(press, Press::GROUND)
          return if width * height <= MOST_PIXELS
          factor = Math.sqrt(width * height / MOST_PIXELS.to_f)
          raise Refusal.new(
            "output.ground_too_large",
            width: Units::Number.grouped(width),
            height: Units::Number.grouped(height),
            ppi: [(press.ppi / factor).floor, 36].max,
            scale: Units::Number.ratio((scale_of(press) * factor).ceil(-2)),
            at: "/ppi"
          )
        end

        def notices(press)
          found = [
            "It is drawn at #{Units::Number.ratio(scale_of(press))} with #{press.ppi} pixels per inch at that scale."
          ]
          if format == "mbtiles"
            found << "Tiles of MBTiles lie in spherical Mercator; the picture is brought there from " \
              "#{press.book.crs.name}."
          end
          found
        end

        # Bytes a pixel, and pixels a second with all levels, about.
        BYTES, PIXELS_A_SECOND = 0.12, 2_500_000.0

        def estimate(press, _items)
          total = pixels(press, Press::GROUND).reduce(:*)
          [(total * BYTES * 4 / 3).round, total / PIXELS_A_SECOND]
        end

        def make(press, _item, folder, name, secrets: nil)
          view = view(press)
          raster = GroundRaster.new(PlacedPicture.new(view, view.frame, press.ppi))
          painter(press, view).paint do |image|
            Press.whole(File.join(folder, name)) do |aside|
              if format == "mbtiles"
                raster.mbtiles(image, aside, press.book.title, credits: press.book.credits)
              else
                raster.geopackage(image, aside)
              end
            end
          end
          [name]
        end

        private

        def scale_of(press) = scale || press.book.index.scale

        def cells(press) = press.picked.filter_map(&:cell)

        def box(press) = Index::Cell.box(cells(press))

        # The paper that all of it would take, in mm.
        def frame(press)
          box = box(press)
          per_mm = scale_of(press) / 1000.0 / press.book.crs.metres_per_unit
          Geometry::Box.at(0.0, 0.0, box.width / per_mm, box.height / per_mm)
        end

        def view(press) =
          View::FrameView.new(
            frame: frame(press),
            ground: Geometry::TurnedRectangle.of(box(press)),
            crs: press.book.crs
          )

        # Drawn as one, so that no symbol and no label is cut where tiles or sheets meet; cut to what the sheets show.
        def painter(press, view)
          ground =
            View::GroundDrawing.new(
              layers: press.book.layers,
              source: press.source,
              view: view,
              ppi: press.ppi,
              language: press.book.language
            )
          group = Scene::Group.new(children: ground.nodes, clip: outline(press, view))
          drawing = Scene::Drawing.new(width_mm: view.frame.width, height_mm: view.frame.height, nodes: [group])
          Painter.new(Pdf::Page.of(drawing), box: view.frame, ppi: press.ppi, book: press.book, clear: true)
        end

        def outline(press, view)
          union = Geometry::Geos.union(cells(press).map { |cell| cell.ground.shape })
          runs = Geometry::Wkb.each_run(Geometry::Geos.write(union)).map { |_, run, _| view.to_page(run) }
          Scene::Outline.new(runs: runs)
        end
      end
    end
  end
end
