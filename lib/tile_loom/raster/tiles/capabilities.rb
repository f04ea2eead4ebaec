# frozen_string_literal: true

require "nokogiri"

module TileLoom
  module Raster
    module Tiles
      # What a tile service offers: the capabilities of a WMTS (OGC 07-057r7).
      class Capabilities
        # Metres of a pixel at a scale denominator of 1 (OGC 07-057r7, 6.1).
        PIXEL_M = 0.000_28
        MOST = 200

        # title: of the layer and its matrix set; source: what a Source is read from, without an attribution.
        Offer = Struct.new(:title, :source, :attribution, keyword_init: true)

        # No service needs a document type, in which entities would be declared.
        def initialize(text)
          raise Refusal.new("raster.no_capabilities") if text.b.match?(/<!(DOCTYPE|ENTITY)/i)
          @document = Nokogiri.XML(text) { |config| config.nonet }
          @document.remove_namespaces!
          raise Refusal.new("raster.no_capabilities") unless @document.at_xpath("//Contents/Layer")
        rescue Nokogiri::XML::SyntaxError
          raise Refusal.new("raster.no_capabilities")
        end

        # Offer list: a layer in each of its matrix sets whose CRS is known. No more are worked out than are offered.
        def offers
          @document
            .xpath("//Contents/Layer")
            .lazy
            .flat_map do |layer|
              layer.xpath("./TileMatrixSetLink/TileMatrixSet").filter_map { |link| offer(layer, link.text.strip) }
            end
            .first(MOST)
        end

        # How many layers there are, each in each of its matrix sets.
        def count = @document.xpath("count(//Contents/Layer/TileMatrixSetLink/TileMatrixSet)").to_i

        private

        def offer(layer, name)
          set = (@sets ||= {}).fetch(name) { @sets[name] = matrix_set(name) } or return nil
          template = template(layer, name) or return nil
          Offer.new(
            title: "#{text(layer, "Title") || text(layer, "Identifier")}, #{name}",
            attribution: text(@document, "//ServiceIdentification/AccessConstraints"),
            source: {
              "url" => template,
              **set
            }
          )
        end

        # What a Source has of a matrix set; nil for one that cannot be drawn.
        def matrix_set(name)
          @named ||= @document.xpath("//Contents/TileMatrixSet").to_h { |found| [text(found, "Identifier"), found] }
          set = @named[name] or return nil
          crs = crs(set) or return nil
          matrices = set.xpath("./TileMatrix").sort_by { |matrix| -text(matrix, "ScaleDenominator").to_f }
          corners = matrices.map { |matrix| corner(matrix, crs) }.uniq
          sides = matrices.flat_map { |matrix| [text(matrix, "TileWidth").to_i, text(matrix, "TileHeight").to_i] }.uniq
          return nil unless corners.one? && sides.one?
          made = {
            "crs" => crs.code,
            "tile_px" => sides.first,
            "origin" => corners.first,
            "matrices" => matrices.map { |matrix| matrix(matrix, crs) }
          }
          finite?(made) ? made : nil
        end

        def finite?(made) =
          [*made["origin"], *made["matrices"].flat_map(&:values)].grep(Numeric).all? { |number| number.to_f.finite? }

        def text(node, path) = node.at_xpath(path.start_with?("/") ? path : "./#{path}")&.text&.strip

        def template(layer, set)
          link =
            layer
              .xpath("./ResourceURL[@resourceType='tile']")
              .find { |found| found["format"].to_s.match?(/png|jpeg|webp/i) } or return nil
          style =
            layer.at_xpath("./Style[@isDefault='true']/Identifier")&.text ||
            layer.at_xpath("./Style/Identifier")&.text || "default"
          link["template"].to_s.gsub("{TileMatrixSet}", set).gsub(/\{style\}/i, style.strip)
        end

        def crs(set)
          code = text(set, "SupportedCRS").to_s
          name = code[/CRS84\z/] ? "OGC:CRS84" : code[/EPSG:.*?(\d+)\z/, 1]&.then { |number| "EPSG:#{number}" }
          name && Crs::System.find(name)
        rescue Refusal
          nil
        end

        # Corners stand in the order of the reference's axes (OGC 07-057r7, 6.1).
        def corner(matrix, crs)
          found = text(matrix, "TopLeftCorner").to_s.split.map(&:to_f)
          (crs.directions.first == "north") ? found.reverse : found
        end

        def matrix(node, crs)
          metres = crs.geographic? ? Degrees::A * Math::PI / 180 : crs.metres_per_unit
          {
            "name" => text(node, "Identifier"),
            "units_per_px" => text(node, "ScaleDenominator").to_f * PIXEL_M / metres,
            "columns" => text(node, "MatrixWidth").to_i,
            "rows" => text(node, "MatrixHeight").to_i
          }
        end
      end
    end
  end
end
