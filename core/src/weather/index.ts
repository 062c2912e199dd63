export {
  flyingWeather,
  matingDays,
  nextRain,
  type Night,
  nights,
  scaleDays,
  scaleVerdict,
  WEATHER_LIMITS,
  type WorkingWindow,
  workingWindows,
} from './beeWeather.ts';
export {
  type ScaleHour,
  scaleHour,
  scaleRows,
  type WeatherHour,
  weatherHour,
  weatherRows,
} from './weatherHour.ts';
