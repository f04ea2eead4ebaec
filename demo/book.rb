#!/usr/bin/env ruby
# frozen_string_literal: true

# Writes the demo book, demo/skarrow-moss.json, over the data that demo/generate.rb drew.

$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "bundler/setup"
require "json"
require "tile_loom"
require_relative "height_field"
require_relative "pictures"

stroke = ->(colour, width_mm, **more) do
  {"colour" => colour, "width_mm" => width_mm, "cap" => "round"}.merge(more.transform_keys(&:to_s))
end
equals = ->(name, value) { {"op" => "=", "args" => [{"property" => name}, value]} }
IDS = %w[
  background
  land-cover
  aerial
  terrain
  shading
  restoration-area
  contours
  compartments
  water
  lochans
  fences
  tracks
  boardwalk
  dams
  hazards
  huts
].freeze
GROUPS = {
  "water" => "Water",
  "lochans" => "Water",
  "fences" => "Ways and fences",
  "tracks" => "Ways and fences",
  "boardwalk" => "Ways and fences"
}.freeze
rule = ->(title, symbol, condition = nil) { {"title" => title, "when" => condition, "symbol" => symbol}.compact }
layer =
  lambda do |id, title, rules, **more|
    {
      "id" => id,
      "title" => title,
      "visible" => true,
      **(GROUPS.key?(id) ? {"group" => GROUPS[id]} : {}),
      "data" => {
        "file" => "skarrow-moss/#{id}.geojson"
      }
    }.merge(more.transform_keys(&:to_s)).merge("rules" => rules)
  end
dam = ->(shape, colour, size) do
  {"marker" => {"shape" => shape, "size_mm" => size, "colour" => colour, "outline" => stroke.call("#fffdf6", 0.22)}}
end

# Layers of pixels, which the plain look leaves out; Pictures names their classes.
raster =
  lambda do |id, title, file, look, **more|
    {
      "id" => id,
      "title" => title,
      "visible" => false,
      "group" => "Pictures of the ground",
      "data" => {
        "file" => "skarrow-moss/#{file}"
      }
    }.merge(more.transform_keys(&:to_s)).merge("raster" => look)
  end
look = ->(title, hidden) { {"title" => title, "layers" => (IDS - hidden).map { |id| {"id" => id} }} }

book = {
  "format" => "tile-loom-book",
  "version" => 1,
  "title" => "Skarrow Moss",
  "subtitle" => "Dam inspection, spring",
  "author" => "Skarrow Moss peat team",
  "subject" => "Field sheets for inspecting peat dams",
  "source" => "Surveyed and drawn by the Moss team. Heights in metres. An invented place.",
  "date" => "2026-04-01",
  "crs" => "EPSG:25829",
  "orders" => [
    {
      "name" => "tablet",
      "file_name" => "{{ book.title }}_{{ page.size }}_{{ sheet.scale }}",
      "form" => {
        "kind" => "pdf_book",
        "pdf" => {
          "tagged" => true,
          "object_data" => [{"layer" => "dams"}],
          "opens_at" => "width"
        }
      }
    },
    {
      "name" => "map frames",
      "ppi" => 200,
      "file_name" => "{{ sheet.name }}",
      "form" => {
        "kind" => "images",
        "format" => "geotiff",
        "shows" => "map frame"
      }
    }
  ],
  "looks" => [
    look.call("Plan", %w[background land-cover aerial terrain shading]),
    look.call("Over the picture", %w[background land-cover terrain shading restoration-area]),
    look.call("Shaded", %w[background land-cover aerial restoration-area])
  ],
  "layers" => [
    {
      "id" => "background",
      "title" => "Background tiles",
      "visible" => false,
      "group" => "Pictures of the ground",
      "tiles" => {
        "url" => "http://127.0.0.1:7481/{z}/{x}/{y}.png",
        "attribution" => "Background: Skarrow Moss, an invented place",
        "most_zoom" => 17
      },
      "raster" => {
        "kind" => "picture"
      }
    },
    raster.call(
      "land-cover",
      "Land cover",
      "land-cover.tif",
      {
        "kind" => "classes",
        "classes" =>
          Demo::Pictures::COVER.map do |value, (title, colour)|
            {"value" => value, "title" => title, "colour" => colour}
          end
      },
      opacity: 0.6
    ),
    raster.call(
      "aerial",
      "Aerial picture",
      "aerial.tif",
      {"kind" => "picture"},
      visible_scales: {
        "smallest" => 60_000
      }
    ),
    raster.call("terrain", "Heights", "terrain.tif", {"kind" => "ramp", "unit" => "m"}, opacity: 0.7),
    raster.call(
      "shading",
      "Shaded relief",
      "terrain.tif",
      {"kind" => "shading", "exaggeration" => 1.5},
      blend: "multiply"
    ),
    layer.call(
      "restoration-area",
      "Restoration area",
      [
        rule.call(
          "Restoration area",
          {
            "fill" => {
              "colour" => "#e6ebcf",
              "opacity" => 1
            },
            "strokes" => [stroke.call("#6d8c3f", 1.6, opacity: 0.35), stroke.call("#4f6f2a", 0.35)]
          }
        )
      ]
    ),
    layer.call(
      "contours",
      "Contours",
      [
        rule.call("Index contour, 10 m", {"strokes" => [stroke.call("#b07a45", 0.22)]}, equals.call("index", true)),
        rule.call("Contour, 2 m", {"strokes" => [stroke.call("#c9a077", 0.1)]})
      ],
      labels: [
        {
          "field" => "height_m",
          "when" => equals.call("index", true),
          "size_pt" => 6,
          "colour" => "#8d5a28",
          "halo" => {
            "width_mm" => 0
          },
          "lines" => {
            "position" => "on",
            "breaks" => true,
            "top" => "uphill",
            "repeat_mm" => 180
          },
          "priority" => 20
        }
      ]
    ),
    layer.call(
      "compartments",
      "Compartments",
      [rule.call("Compartment", {"strokes" => [stroke.call("#7d8f5a", 0.25, dash_mm: [2.2, 0.9, 0.4, 0.9])]})],
      labels: [
        {
          "field" => "name",
          "face" => "sans-semibold",
          "size_pt" => 9,
          "colour" => "#5f7440",
          "areas" => {
            "course" => "axis",
            "letterspaced" => true,
            "maximum_spacing" => 1,
            "outside" => false
          },
          "priority" => 70,
          "halo" => {
            "colour" => "#eef1dd"
          }
        }
      ]
    ),
    layer.call(
      "water",
      "Burns and gullies",
      [
        rule.call("Burn", {"strokes" => [stroke.call("#2f7fb5", 0.6)]}, equals.call("kind", "burn")),
        rule.call("Gully", {"strokes" => [stroke.call("#5a9cc7", 0.25)]})
      ],
      labels: [
        {
          "field" => "name",
          "face" => "serif-italic",
          "size_pt" => 8,
          "colour" => "#1f6596",
          "together" => true,
          "lines" => {
            "repeat_mm" => 160,
            "gap_mm" => 0.6,
            "position" => "either"
          },
          "priority" => 60,
          "halo" => {
            "colour" => "#eef3f0"
          }
        }
      ]
    ),
    layer.call(
      "lochans",
      "Lochans",
      [
        rule.call(
          "Lochan",
          {"fill" => {"colour" => "#bcdcee", "opacity" => 1}, "strokes" => [stroke.call("#2f7fb5", 0.25)]}
        )
      ],
      labels: [
        {
          "field" => "name",
          "face" => "serif-italic",
          "size_pt" => 8.5,
          "colour" => "#1f6596",
          "halo" => {
            "colour" => "#d4e8f3"
          }
        }
      ]
    ),
    layer.call(
      "fences",
      "Fences",
      [rule.call("Fence", {"strokes" => [stroke.call("#6a6a6a", 0.18, dash_mm: [1.4, 0.5, 0.25, 0.5], cap: "butt")]})]
    ),
    layer.call(
      "tracks",
      "Tracks",
      [rule.call("Track", {"strokes" => [stroke.call("#5b4636", 0.95), stroke.call("#fff6e2", 0.6)]})],
      labels: [
        {
          "field" => "name",
          "face" => "sans-italic",
          "size_pt" => 7,
          "colour" => "#5b4636",
          "together" => true,
          "lines" => {
            "repeat_mm" => 160
          }
        }
      ]
    ),
    layer.call(
      "boardwalk",
      "Boardwalk trail",
      [rule.call("Boardwalk trail", {"strokes" => [stroke.call("#8c2f39", 0.45, dash_mm: [1.5, 0.7], cap: "butt")]})],
      labels: [
        {
          "field" => "name",
          "face" => "sans-italic",
          "size_pt" => 7,
          "colour" => "#8c2f39",
          "lines" => {
            "gap_mm" => 1,
            "position" => "either"
          }
        }
      ]
    ),
    layer.call(
      "dams",
      "Peat dams",
      [
        rule.call("Dam, sound", dam.call("bar", "#1f2a30", 1.9), equals.call("condition", "sound")),
        rule.call("Dam, leaking", dam.call("diamond", "#b86a00", 2.1), equals.call("condition", "leaking")),
        rule.call("Dam, failed", dam.call("cross", "#b3261e", 2.6), equals.call("condition", "failed"))
      ],
      labels: [{"field" => "code", "face" => "sans", "size_pt" => 5.5, "colour" => "#1f2a30"}]
    ),
    layer.call(
      "hazards",
      "Hazards",
      [rule.call("Hazard", {"marker" => {"shape" => "warning", "size_mm" => 3.4, "colour" => "#c77700"}})],
      labels: [
        {
          "field" => "kind",
          "face" => "sans-italic",
          "size_pt" => 6.5,
          "colour" => "#8a5200",
          "points" => {
            "positions" => %w[right left],
            "leader_mm" => 12
          },
          "leader" => {
            "colour" => "#8a5200",
            "width_mm" => 0.15
          },
          "priority" => 80
        }
      ]
    ),
    layer.call(
      "huts",
      "Huts",
      [rule.call("Hut", {"marker" => {"shape" => "hut", "size_mm" => 2.6, "colour" => "#1f2a30"}})],
      labels: [{"field" => "name", "face" => "sans-semibold", "size_pt" => 7.5}]
    )
  ],
  "layout" =>
    TileLoom::Document::Starter
      .layout("A3", "landscape", "side-panel")
      .tap { |layout| layout["page"]["binding"] = {"edge" => "left", "gutter_mm" => 12} },
  "index" => {
    "kind" => "grid",
    "area" => "restoration-area",
    "buffer" => "50 m",
    "scale" => 2500,
    "held" => "projection",
    "overlap_mm" => 8
  },
  # Hazards are named beside their symbol, at the end of a leader line.
  "labels_by_hand" =>
    (1..11).map do |number|
      {
        "layer" => "hazards",
        "rule" => "rule-1",
        "feature" => {
          "field" => "number",
          "value" => number.to_s
        },
        "offset_mm" => [12, -6]
      }
    end,
  "notes" => {
    "list" => [
      {
        "id" => "note-1",
        "kind" => "text",
        "places" => [[403_570, 6_528_652], [403_623.8, 6_528_604]],
        "text" => "Boardwalk closed\nApril to June",
        "face" => "sans-semibold",
        "size_pt" => 7,
        "last_end" => "dot",
        "end_mm" => 1.4,
        "stroke" => {
          "colour" => "#8c2f39",
          "width_mm" => 0.25
        },
        "backing" => {
          "shape" => "rounded",
          "margin_mm" => 0.8,
          "fill" => {
            "colour" => "#fffdf6"
          },
          "stroke" => {
            "colour" => "#8c2f39",
            "width_mm" => 0.2
          }
        }
      }
    ]
  }
}

File.write(File.join(__dir__, "skarrow-moss.json"), JSON.pretty_generate(book) + "\n")
